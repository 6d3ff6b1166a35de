"""Databases of a Galera cluster, each a process in a folder of its own."""

import os
import shutil
import subprocess
import time
from pathlib import Path

import pymysql

from nine_knots.run.mariadb import free_port, program

PROVIDER = "/usr/lib/galera/libgalera_smm.so"
SOON = ";".join(  # what a second's silence means, on one machine
    (
        "evs.keepalive_period=PT0.5S",
        "evs.suspect_timeout=PT2S",
        "evs.inactive_timeout=PT5S",
        "evs.install_timeout=PT4S",
        "gcache.size=64M",
    )
)
START_S = 90.0
OWNER = "mysql"  # of Debian's package: what copies a node's state does nothing as root
AS = [f"--user={OWNER}"] if os.geteuid() == 0 else []
USER = NAME = "nine_knots"


class Node:
    """One database of the cluster."""

    def __init__(self, folder: Path, number: int, password: str) -> None:
        self.folder, self.number, self.password = folder / f"node{number}", number, password
        self.port, self.group, self.state = free_port(), free_port(), free_port()
        self.process: subprocess.Popen[bytes] | None = None

    def start(self, nodes: "list[Node]", first: bool = False) -> None:
        """Start it; the first of all makes the cluster, others join it."""
        data = self.folder / "data"
        if not data.is_dir():
            self._initialise(data)
        others = ",".join(f"127.0.0.1:{node.group}" for node in nodes)
        listens = f"gmcast.listen_addr=tcp://127.0.0.1:{self.group}"
        receives = f"ist.recv_addr=127.0.0.1:{free_port()}"
        command = [
            program("mariadbd"),
            "--no-defaults",
            *AS,
            f"--datadir={data}",
            f"--socket={self.folder}/s.sock",
            "--bind-address=127.0.0.1",
            f"--port={self.port}",
            "--skip-name-resolve",
            f"--init-file={self.folder}/init.sql",
            f"--pid-file={self.folder}/pid",
            "--binlog-format=ROW",
            "--innodb-autoinc-lock-mode=2",
            "--innodb-flush-log-at-trx-commit=0",  # the others have it
            "--character-set-server=utf8mb4",
            "--max-connections=120",
            "--wsrep-on=ON",
            f"--wsrep-provider={PROVIDER}",
            f"--wsrep-cluster-address=gcomm://{'' if first else others}",
            "--wsrep-cluster-name=nine-knots",
            f"--wsrep-node-name=node{self.number}",
            "--wsrep-node-address=127.0.0.1",
            f"--wsrep-provider-options={listens};{receives};{SOON}",
            "--wsrep-sst-method=rsync",
            f"--wsrep-sst-receive-address=127.0.0.1:{self.state}",
            "--wsrep-slave-threads=2",
            *(["--wsrep-new-cluster"] if first else []),
        ]
        with (self.folder / "log").open("ab") as log:
            self.process = subprocess.Popen(
                command, stdout=log, stderr=log, stdin=subprocess.DEVNULL, start_new_session=True
            )
        self._wait()

    def _initialise(self, data: Path) -> None:
        self.folder.mkdir(parents=True)
        (self.folder / "init.sql").write_text(
            f"CREATE DATABASE IF NOT EXISTS {NAME} CHARACTER SET utf8mb4;\n"
            f"CREATE USER IF NOT EXISTS '{USER}'@'%' IDENTIFIED BY '{self.password}';\n"
            f"GRANT ALL ON {NAME}.* TO '{USER}'@'%';\n"
        )
        if AS:
            self.folder.parent.chmod(0o755)
            shutil.chown(self.folder, OWNER, OWNER)
        subprocess.run(
            [
                program("mariadb-install-db"),
                "--no-defaults",
                *AS,
                f"--datadir={data}",
                "--auth-root-authentication-method=socket",
                "--skip-test-db",
            ],
            check=True,
            capture_output=True,
        )

    def _wait(self) -> None:
        until = time.monotonic() + START_S
        while time.monotonic() < until:
            if self.process is not None and self.process.poll() is not None:
                break
            if self.is_ready():
                return
            time.sleep(0.2)
        tail = (self.folder / "log").read_text(errors="replace")[-3000:]
        raise AssertionError(f"Node {self.number} did not come up:\n{tail}")

    def ask(self, statement: str) -> list[tuple]:
        """What it answers to a statement."""
        with pymysql.connect(
            host="127.0.0.1",
            port=self.port,
            user=USER,
            password=self.password,
            database=NAME,
            ssl_disabled=True,
            connect_timeout=2,
            autocommit=True,
        ) as connection:
            cursor = connection.cursor()
            cursor.execute(statement)
            return list(cursor.fetchall())

    def is_ready(self) -> bool:
        """Whether it is part of the cluster and up to date with it."""
        try:
            found = dict(self.ask("SHOW STATUS LIKE 'wsrep_%'"))
        except (pymysql.err.MySQLError, OSError):
            return False
        return found.get("wsrep_ready") == "ON" and found.get("wsrep_local_state") == "4"

    def kill(self) -> None:
        """End it as a machine that loses its power does."""
        assert self.process is not None
        self.process.kill()
        self.process.wait()

    def stop(self) -> None:
        """End it, if it runs."""
        if self.process is not None and self.process.poll() is None:
            self.process.terminate()
            try:
                self.process.wait(20)
            except subprocess.TimeoutExpired:
                self.kill()
        shutil.rmtree(self.folder / "data", ignore_errors=True)
