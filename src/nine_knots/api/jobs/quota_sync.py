"""Every process of a service knows how much of the workers each account has had of the others."""

import asyncio

import structlog
from starlette.concurrency import run_in_threadpool

from nine_knots.api.jobs.quota import HOUR, Quota
from nine_knots.core.base.errors import NineKnotsError
from nine_knots.store import Database
from nine_knots.store.accounts.compute_time import Had, add_worked

EVERY_S = 3.0
_log = structlog.get_logger("nine_knots")


class QuotaSync:
    """Tells the database every few seconds what was worked here, and hears what all worked."""

    def __init__(self, shares: Quota, database: Database) -> None:
        self._shares, self._database = shares, database
        self._going = asyncio.ensure_future(self._go())

    async def _go(self) -> None:
        while True:
            await asyncio.sleep(EVERY_S)
            await self.tell()

    async def tell(self) -> None:
        """Tell once, if there is anything to tell."""
        news = self._shares.take_news()
        if not news:
            return

        def told() -> dict[str, Had]:
            return self._database.transact(lambda cursor: add_worked(cursor, news, HOUR))

        try:
            had = await run_in_threadpool(told)
        except NineKnotsError as error:
            _log.warning("quotas were not synchronised", code=error.code)
            self._shares.put_back(news)
            return
        for whose, (seconds, ends_at) in had.items():
            self._shares.hear(whose, seconds, ends_at)

    def close(self) -> None:
        """Tell nothing more."""
        self._going.cancel()
