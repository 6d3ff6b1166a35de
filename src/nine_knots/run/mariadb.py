"""A private MariaDB on loopback, in a folder of its own, that ends with whoever started it.

It keeps its port and its password from one start to the next, so that a restart in mid-run is
nothing but a pause to those who use it. Its binary log is on: from a backup on, every
acknowledged change can be brought back.
"""

import os
import re
import secrets
import shutil
import signal
import socket
import subprocess
import time
from contextlib import suppress
from dataclasses import replace
from pathlib import Path

import pymysql

from nine_knots.run.orphans import end_servers_on
from nine_knots.run.owner import Owner, owner_of
from nine_knots.store import Address
from nine_knots.store.db_errors import tells_full_disk
from nine_knots.store.errors import DatabaseUnavailable, DiskFull

DB_USER = DB_NAME = "nine_knots"
START_SECONDS = 120.0  # recovery after a crash is waited for
STOP_SECONDS = 3.0
PING_SECONDS = 3
LOG_DAYS = 15
LOCKED = re.compile(r"Unable to lock \./ibdata1|Can't lock aria control file")
LITTLE_ROOM_BYTES = 24_000_000  # below which a server that does not start is taken to lack room


def free_port() -> int:
    """A port on loopback that is free just now."""
    with socket.socket() as probe:
        probe.bind(("127.0.0.1", 0))
        return int(probe.getsockname()[1])


class PrivateServer:
    """One server with its data under ``folder``; start and stop may alternate."""

    def __init__(self, folder: Path) -> None:
        self.folder = folder.resolve()
        self.data = self.folder / "data"
        self.log = self.folder / "mariadb.log"
        self.options = self.folder / "client.cnf"
        self.address = Address(
            "127.0.0.1", free_port(), DB_USER, secrets.token_urlsafe(24), DB_NAME
        )
        self.stale = 0
        self._process: subprocess.Popen[bytes] | None = None
        self._starting = False

    @classmethod
    def running(cls, folder: Path) -> "PrivateServer":
        """The server that another process of this program runs on a folder."""
        found = cls(folder)
        told = dict(
            line.split("=", 1) for line in found.options.read_text().splitlines() if "=" in line
        )
        found.address = replace(found.address, port=int(told["port"]), password=told["password"])
        return found

    @property
    def pid(self) -> int | None:
        """The running server's, or None."""
        return self._process.pid if self._process and self._process.poll() is None else None

    def start(self) -> Address:
        """Initialise on first use, start, wait until it answers; DatabaseUnavailable otherwise."""
        self.folder.mkdir(parents=True, exist_ok=True)
        self._refuse_for_room("")
        owner = owner_of(self.folder)
        self.stale += end_servers_on(self.data)
        if not self.data.is_dir():
            self._initialise(owner)
        owner.hand_over(self.data)
        self._write_options()
        command = [
            program("mariadbd"),
            "--no-defaults",
            f"--datadir={self.data}",
            "--socket=server.sock",
            "--bind-address=127.0.0.1",
            f"--port={self.address.port}",
            f"--init-file={self._init_file(owner)}",
            "--skip-name-resolve",
            "--innodb-flush-log-at-trx-commit=1",
            "--log-bin=changes",
            "--binlog-format=ROW",
            "--sync-binlog=1",
            f"--expire-logs-days={LOG_DAYS}",
            "--max-binlog-size=64M",
            "--character-set-server=utf8mb4",
            "--performance-schema=OFF",
            "--max-connections=60",
            f"--pid-file={self.data / 'server.pid'}",
            *(["--user=root"] if owner.name == "root" else []),
        ]
        told = self.log.stat().st_size if self.log.exists() else 0
        self._starting = True
        with self.log.open("ab") as log:
            self._process = subprocess.Popen(
                owner.command(command),
                env=self._apart(owner),
                stdout=log,
                stderr=log,
                stdin=subprocess.DEVNULL,
                start_new_session=True,
            )
        self._wait(told)
        return self.address

    def stop(self, patience_s: float = STOP_SECONDS) -> None:
        """Ask the server to end, and make it end if it does not; nothing acknowledged is lost."""
        process, self._process = self._process, None
        if process is None and self._starting:
            end_servers_on(self.data)  # one that a signal cut off before it was known
        self._starting = False
        if process is None or process.poll() is not None:
            return
        process.send_signal(signal.SIGTERM)
        try:
            process.wait(patience_s)
        except subprocess.TimeoutExpired:
            process.kill()
            process.wait()

    def answers(self) -> bool:
        """Whether it takes a connection and a question within a few seconds."""
        try:
            self._connect(PING_SECONDS).close()
        except (pymysql.err.MySQLError, OSError):
            return False
        return True

    def _connect(self, patience_s: int) -> pymysql.connections.Connection:
        return pymysql.connect(
            host=self.address.host,
            port=self.address.port,
            user=self.address.user,
            password=self.address.password,
            database=self.address.database,
            ssl_disabled=True,
            connect_timeout=patience_s,
            read_timeout=patience_s,
        )

    def _initialise(self, owner: Owner) -> None:
        """Made beside its place and renamed when whole: a kill in between leaves nothing amiss."""
        for left in self.folder.glob("data-new-*"):
            shutil.rmtree(left, ignore_errors=True)
        made_in = self.folder / f"data-new-{secrets.token_hex(4)}"
        made_in.mkdir(mode=0o700)
        owner.hand_over(made_in)
        command = [
            program("mariadb-install-db"),
            "--no-defaults",
            f"--datadir={made_in}",
            "--auth-root-authentication-method=socket",
            f"--auth-root-socket-user={owner.name}",
            "--skip-test-db",
            *(["--user=root"] if owner.name == "root" else []),
        ]
        done = subprocess.run(
            owner.command(command),
            env=self._apart(owner),
            capture_output=True,
            text=True,
            check=False,
        )
        if done.returncode != 0:
            shutil.rmtree(made_in, ignore_errors=True)
            with suppress(OSError):
                self.log.write_text(done.stdout + done.stderr)
            self._refuse_for_room(done.stdout + done.stderr)
            raise DatabaseUnavailable("The database could not be set up.", hint=f"See {self.log}.")
        made_in.rename(self.data)

    def _apart(self, owner: Owner) -> dict[str, str]:
        """An environment with a temporary folder of its own: a server that begins clears it, of
        what others still use too."""
        made_in = self.folder / "tmp"
        made_in.mkdir(mode=0o700, exist_ok=True)
        owner.hand_over(made_in)
        return {**os.environ, "TMPDIR": str(made_in)}

    def _init_file(self, owner: Owner) -> Path:
        """Statements run at every start: our database, our user, a password for this run."""
        user = f"'{DB_USER}'@'127.0.0.1'"
        path = self.data / "init.sql"
        _write_private(
            path,
            "SET SESSION sql_log_bin = 0;\n"
            f"CREATE DATABASE IF NOT EXISTS {DB_NAME} CHARACTER SET utf8mb4;\n"
            f"CREATE USER IF NOT EXISTS {user};\n"
            f"ALTER USER {user} IDENTIFIED BY '{self.address.password}';\n"
            f"GRANT ALL ON {DB_NAME}.* TO {user};\n"
            f"GRANT RELOAD, BINLOG MONITOR, BINLOG REPLAY ON *.* TO {user};\n",
        )
        owner.hand_over(path)
        return path

    def _write_options(self) -> None:
        """How MariaDB's own programs reach it, for backups taken while it runs."""
        reach = self.address
        _write_private(
            self.options,
            f"[client]\nhost={reach.host}\nport={reach.port}\nprotocol=tcp\nuser={reach.user}\n"
            f"password={reach.password}\nskip-ssl\n",
        )

    def _wait(self, told: int) -> None:
        deadline = time.monotonic() + START_SECONDS
        while time.monotonic() < deadline:
            if self._process is None or self._process.poll() is not None:
                break
            try:
                self._connect(2).close()
            except (pymysql.err.MySQLError, OSError):
                time.sleep(0.05)
            else:
                return
        self.stop()
        self._say_why(told)

    def _say_why(self, told: int) -> None:
        """Raise what this start's part of the log tells."""
        with self.log.open("rb") as log:
            log.seek(told)
            said = log.read().decode(errors="replace")
        self._refuse_for_room(said)
        if LOCKED.search(said):
            raise DatabaseUnavailable(
                "Another program is using the database folder.",
                hint=f"Stop it and start again. Nothing is lost. The log is {self.log}.",
            )
        raise DatabaseUnavailable(
            "The database did not start: its folder may be damaged.",
            hint=f"See the end of {self.log}. The newest backup in "
            f"{self.folder.parent / 'backups'} brings the data back: ./start --restore FILE keeps "
            "the damaged folder beside it. ./start --fresh begins with the demo instead.",
        )

    def _refuse_for_room(self, said: str) -> None:
        free = shutil.disk_usage(self.folder).free
        if tells_full_disk(said) or free < LITTLE_ROOM_BYTES:
            raise DiskFull(
                f"The disk is full: {free / 1e6:.0f} MB are left where {self.folder} lies.",
                hint="Free some space, then start again. Everything saved is safe.",
            )


def _write_private(path: Path, text: str) -> None:
    path.unlink(missing_ok=True)
    path.touch(mode=0o600)
    path.write_text(text)


def program(name: str, package: str = "mariadb-server-core") -> str:
    """The path of a MariaDB program; DatabaseUnavailable names the package if it is missing."""
    found = shutil.which(name) or shutil.which(name, path="/usr/sbin:/usr/bin")
    if found is None:
        raise DatabaseUnavailable(
            f"MariaDB's program {name} is not installed.",
            hint=f"As root: apt-get install {package}.",
        )
    return found
