"""Landings whose leaders were cast by an earlier model are cast anew while the service runs."""

import asyncio

import structlog
from pydantic import TypeAdapter
from pymysql.cursors import DictCursor
from starlette.concurrency import run_in_threadpool

from nine_knots.api.jobs.job_queue import ClientKey
from nine_knots.api.jobs.tasks import LandingTask
from nine_knots.api.jobs.worker_pool import WorkerPool
from nine_knots.core.assess.own_cast import Landing
from nine_knots.core.base.errors import NineKnotsError
from nine_knots.store import Database
from nine_knots.store.landings import OldLanding, estimate_anew, old_landing, write_recast

BEGINS_S, EVERY_S = 5.0, 60.0
LANDING: TypeAdapter[Landing] = TypeAdapter(Landing)
_log = structlog.get_logger("nine_knots")


class LandingUpdater:
    """Looks every minute for a landing of an earlier model, and casts it where there is one."""

    def __init__(self, crew: WorkerPool, database: Database) -> None:
        self._crew, self._database = crew, database
        self._going = asyncio.ensure_future(self._go())

    async def _go(self) -> None:
        await asyncio.sleep(BEGINS_S)
        while True:
            try:
                while await self.recast_one():
                    pass
            except NineKnotsError as error:
                _log.warning("landings were not updated to the new cast model", code=error.code)
            await asyncio.sleep(EVERY_S)

    async def recast_one(self) -> bool:
        """Cast one anew and learn from it; whether there was one. One that cannot be cast any more
        tells what it told."""
        found = await run_in_threadpool(self._database.transact, old_landing)
        if found is None:
            return False
        usual = await self._usual(found)

        def write(cursor: DictCursor) -> None:
            write_recast(cursor, found, usual)
            estimate_anew(cursor, found.angler_id)

        await run_in_threadpool(self._database.transact, write)
        return True

    async def _usual(self, found: OldLanding) -> float | None:
        if found.seen is None:
            return None
        try:
            told = await self._crew.ask(
                ClientKey("service", f"recast-{found.landing_id}"), LandingTask(seen=found.seen)
            )
        except NineKnotsError:
            return None
        return LANDING.validate_json(told).usual

    def close(self) -> None:
        """Cast no more."""
        self._going.cancel()
