"""A private MariaDB on loopback, in a folder of its own, that ends with whoever started it.

As an ordinary user the server runs as that user. It refuses to run as root, so for root it runs
as an OS user made for it; only where that user cannot enter the project's folder does it run as
root, on loopback and with a password as always.
"""

import os
import pwd
import secrets
import shutil
import signal
import socket
import subprocess
import time
from pathlib import Path

import pymysql

from nine_knots.core.errors import DatabaseTrouble
from nine_knots.store import Address

OS_USER = "nineknots"
DB_USER = DB_NAME = "nine_knots"
START_SECONDS = 30.0
STOP_SECONDS = 20.0


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
        self._process: subprocess.Popen[bytes] | None = None
        self._password = secrets.token_urlsafe(24)

    def start(self) -> Address:
        """Initialise on first use, start, wait until it answers; DatabaseTrouble otherwise."""
        self.folder.mkdir(parents=True, exist_ok=True)
        runs_as = self._runs_as()
        if not (self.data / "mysql").is_dir():
            self._initialise(runs_as)
        self._hand_over(runs_as)
        port = free_port()
        command = [
            *_as_user(runs_as),
            _program("mariadbd"),
            "--no-defaults",
            f"--datadir={self.data}",
            "--socket=server.sock",
            "--bind-address=127.0.0.1",
            f"--port={port}",
            f"--init-file={self._init_file(runs_as)}",
            "--skip-name-resolve",
            "--innodb-flush-log-at-trx-commit=1",
            "--character-set-server=utf8mb4",
            "--performance-schema=OFF",
            f"--pid-file={self.data / 'server.pid'}",
            *(["--user=root"] if runs_as == "root" else []),
        ]
        with self.log.open("ab") as log:
            self._process = subprocess.Popen(
                command, stdout=log, stderr=log, stdin=subprocess.DEVNULL, start_new_session=True
            )
        address = Address("127.0.0.1", port, DB_USER, self._password, DB_NAME)
        self._wait(address)
        return address

    def stop(self) -> None:
        """Ask the server to end, and make it end if it does not."""
        process, self._process = self._process, None
        if process is None or process.poll() is not None:
            return
        process.send_signal(signal.SIGTERM)
        try:
            process.wait(STOP_SECONDS)
        except subprocess.TimeoutExpired:
            process.kill()
            process.wait()

    def _runs_as(self) -> str:
        if os.geteuid() != 0:
            return pwd.getpwuid(os.geteuid()).pw_name
        try:
            pwd.getpwnam(OS_USER)
        except KeyError:
            made = subprocess.run(
                [
                    "useradd",
                    "--system",
                    "--no-create-home",
                    "--shell",
                    "/usr/sbin/nologin",
                    OS_USER,
                ],
                capture_output=True,
                check=False,
            )
            if made.returncode != 0:
                return "root"
        entered = subprocess.run([*_as_user(OS_USER), "test", "-x", str(self.folder)], check=False)
        return OS_USER if entered.returncode == 0 else "root"

    def _initialise(self, runs_as: str) -> None:
        shutil.rmtree(self.data, ignore_errors=True)
        self.data.mkdir(mode=0o700)
        self._hand_over(runs_as)
        made = subprocess.run(
            [
                *_as_user(runs_as),
                _program("mariadb-install-db"),
                "--no-defaults",
                f"--datadir={self.data}",
                "--auth-root-authentication-method=socket",
                f"--auth-root-socket-user={runs_as}",
                "--skip-test-db",
                *(["--user=root"] if runs_as == "root" else []),
            ],
            capture_output=True,
            text=True,
            check=False,
        )
        if made.returncode != 0:
            shutil.rmtree(self.data, ignore_errors=True)
            self.log.write_text(made.stdout + made.stderr)
            raise DatabaseTrouble(
                "The database could not be set up.", mend=f"The reason stands in {self.log}."
            )

    def _hand_over(self, runs_as: str) -> None:
        if os.geteuid() != 0:
            return
        owner = pwd.getpwnam(runs_as)
        if self.data.stat().st_uid == owner.pw_uid:
            return
        for path in (self.data, *self.data.rglob("*")):
            os.chown(path, owner.pw_uid, owner.pw_gid)

    def _init_file(self, runs_as: str) -> Path:
        """Statements run at every start: our database, our user, a password for this run."""
        path = self.data / "init.sql"
        path.unlink(missing_ok=True)
        path.touch(mode=0o600)
        path.write_text(
            f"CREATE DATABASE IF NOT EXISTS {DB_NAME} CHARACTER SET utf8mb4;\n"
            f"CREATE USER IF NOT EXISTS '{DB_USER}'@'127.0.0.1';\n"
            f"ALTER USER '{DB_USER}'@'127.0.0.1' IDENTIFIED BY '{self._password}';\n"
            f"GRANT ALL ON {DB_NAME}.* TO '{DB_USER}'@'127.0.0.1';\n"
        )
        if os.geteuid() == 0:
            owner = pwd.getpwnam(runs_as)
            os.chown(path, owner.pw_uid, owner.pw_gid)
        return path

    def _wait(self, address: Address) -> None:
        deadline = time.monotonic() + START_SECONDS
        while time.monotonic() < deadline:
            if self._process is None or self._process.poll() is not None:
                break
            try:
                pymysql.connect(
                    host=address.host,
                    port=address.port,
                    user=address.user,
                    password=address.password,
                    database=address.database,
                    ssl_disabled=True,
                    connect_timeout=2,
                ).close()
            except pymysql.err.MySQLError:
                time.sleep(0.05)
            else:
                return
        self.stop()
        raise DatabaseTrouble(
            "The database did not start: its folder may be damaged, or in use.",
            mend=f"The reason stands at the end of {self.log}. If the data are lost anyway, "
            "./start --fresh begins again with the demo and keeps the old folder beside it.",
        )


def _as_user(name: str) -> list[str]:
    if os.geteuid() != 0 or name == "root":
        return []
    owner = pwd.getpwnam(name)
    return [
        "setpriv",
        f"--reuid={owner.pw_uid}",
        f"--regid={owner.pw_gid}",
        "--clear-groups",
        "--",
    ]


def _program(name: str) -> str:
    found = shutil.which(name) or shutil.which(name, path="/usr/sbin:/usr/bin")
    if found is None:
        raise DatabaseTrouble(
            f"MariaDB's program {name} is not installed.",
            mend="As root: apt-get install mariadb-server-core mariadb-client-core.",
        )
    return found
