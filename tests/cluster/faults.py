"""A node killed under load, then a service, then the proxy, and tables changed: what is lost, and
when it is back."""

import time
from collections.abc import Callable
from pathlib import Path

from nine_knots.run.external_database import read_database
from nine_knots.store import Database
from nine_knots.store.migrate import Migration, migrate, shipped_migrations
from tests.cluster.cluster import Cluster
from tests.hosting import invite
from tests.saving import Saver

WRITERS, SETTLES_S, BACK_S = 4, 4.0, 10.0


def kill_node(cluster: Cluster) -> None:
    """The node that all writes go to, as if its power failed."""
    cluster.nodes[0].kill()


def rejoin(cluster: Cluster) -> None:
    """It comes back, and catches up from another."""
    cluster.nodes[0].start(cluster.nodes)


def kill_service(cluster: Cluster) -> None:
    """One of the two, its supervisor and all."""
    cluster.services[1].process.kill()
    cluster.services[1].process.wait()


def restart_service(cluster: Cluster) -> None:
    """As systemd does."""
    cluster.services[1] = cluster.service(1)


def kill_proxy(cluster: Cluster) -> None:
    """Which is started again within a moment."""
    cluster.proxy.process.kill()


def change_tables(cluster: Cluster) -> None:
    """A migration forward, as the first process of a new version makes it."""
    database = Database(read_database(Path(cluster.folder / "database")).address, most=2)
    known = shipped_migrations()
    number = known[-1].version + 1
    text = "ALTER TABLE leader ADD COLUMN IF NOT EXISTS tried_on_a_cluster INT NULL;\n"
    migrate(database, [*known, Migration(number, "tried", text)])
    database.close()


ACTS: tuple[Callable[[Cluster], None], ...] = (
    kill_node,
    rejoin,
    kill_service,
    restart_service,
    kill_proxy,
    change_tables,
)


def try_faults(cluster: Cluster) -> bool:
    """Do one after another while four anglers save; print what became of it, and answer whether
    nothing was lost and all was back in time."""
    keeper = cluster.joined("Keeper", cluster.invitation)
    names = [f"Writer {number}" for number in range(WRITERS)]
    clients = [cluster.joined(name, invite(keeper)) for name in names]
    for client in clients:
        client.post("/api/v1/anglers/demo").raise_for_status()
    writers = [Saver(item, name) for item, name in zip(clients, names, strict=True)]
    for writer in writers:
        writer.start()
    time.sleep(SETTLES_S)
    worst = 0.0
    print(f"{'what was done':18} {'took':>6} {'longest without an acknowledged save':>38}")
    for act in ACTS:
        begun = time.monotonic()
        act(cluster)
        took = time.monotonic() - begun
        time.sleep(max(0.0, BACK_S + 2.0 - took))
        gap = max(writer.gap_s(begun) for writer in writers)
        worst = max(worst, gap)
        print(f"{act.__name__:18} {took:5.1f} s {gap:36.1f} s", flush=True)
    for writer in writers:
        writer.stop()
    found = [writer.lost_and_twice() for writer in writers]
    lost, twice = sum(item for item, _ in found), sum(two for _, two in found)
    saved = sum(len(writer.acknowledged) for writer in writers)
    statuses = sorted(set.union(*(writer.statuses for writer in writers)))
    there = [node.ask("SELECT COUNT(*) FROM leader")[0][0] for node in cluster.nodes]
    print(f"{saved} saves acknowledged, {lost} lost, {twice} done twice; answers {statuses}")
    print(f"leaders on the three nodes: {there}")
    return lost == twice == 0 and worst < BACK_S and len(set(there)) == 1
