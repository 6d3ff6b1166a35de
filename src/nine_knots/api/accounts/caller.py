"""What is known of a call that comes in, and what it may do with its own account."""

from collections.abc import Callable
from dataclasses import dataclass
from ipaddress import ip_address, ip_network
from typing import Annotated, TypeVar

from fastapi import Depends, Request
from pymysql.cursors import DictCursor
from ua_parser import parse

from nine_knots.api.caller import caller_of
from nine_knots.api.site import CurrentSite
from nine_knots.core.base.errors import NotFound, NotProved, NotYours
from nine_knots.store import Database
from nine_knots.store.accounts.logins import Login
from nine_knots.store.accounts.notes import note_tried

Answer = TypeVar("Answer")
LONGEST_AGENT = 400


@dataclass(frozen=True, slots=True)
class Calling:
    """A call: from which address, and what its browser says of itself; both in words."""

    address: str
    agent: str

    @property
    def device(self) -> str:
        """The browser and its system."""
        return device_of(self.agent)

    @property
    def place(self) -> str:
        """The network it comes from."""
        return network_of(self.address)


def _calling(request: Request) -> Calling:
    address = request.client.host if request.client else ""
    return Calling(address, request.headers.get("user-agent", ""))


CurrentCalling = Annotated[Calling, Depends(_calling)]


def device_of(agent: str) -> str:
    """A browser and its system in words, by what it says of itself."""
    found = parse(agent[:LONGEST_AGENT])
    browser = found.user_agent.family if found.user_agent else "a program"
    return f"{browser} on {found.os.family}"[:80] if found.os else browser[:80]


def network_of(address: str) -> str:
    """The network that an address is of: enough to know one's own by, too little to find one."""
    try:
        bits = 24 if ip_address(address).version == 4 else 48
    except ValueError:
        return "unknown"
    return str(ip_network(f"{address}/{bits}", strict=False))


class Mine:
    """The account that calls, and the database as it may use it."""

    def __init__(self, request: Request, site: CurrentSite, calling: CurrentCalling) -> None:
        login = caller_of(request).login
        if login is None:
            raise NotFound("Nobody is logged in here.", mend="Log in.")
        self.login: Login = login
        self.site, self.calling = site, calling
        self.database: Database = request.app.state.database

    def transact(self, work: Callable[[DictCursor, str], Answer]) -> Answer:
        """One transaction for this account."""
        return self.database.transact(lambda cursor: work(cursor, self.login.account_id))

    def proved(self) -> None:
        """NotProved where it was not shown within the last minutes who sits there."""
        if not self.login.proved:
            raise NotProved(
                "Show first that it is you.", mend="Give your password or passkey once more."
            )

    def operates(self) -> None:
        """NotYours where it is no operator's account."""
        if not self.login.is_operator:
            raise NotYours("Only an operator does that.", mend="Ask one.")

    def note(self, cursor: DictCursor, what: str) -> None:
        """Note what was done with the account."""
        calling = self.calling
        note_tried(cursor, self.login.account_id, what, calling.device, calling.place)


CurrentMine = Annotated[Mine, Depends(Mine)]
