"""``scripts/cluster``: shows the cluster, tries its faults, or has anglers use it."""

import sys
import tempfile
import time
from pathlib import Path

from tests.cluster.cluster import Cluster
from tests.cluster.faults import try_faults
from tests.cluster.load import try_load


def show(cluster: Cluster) -> bool:
    """Say where everything is, till told to end."""
    for node in cluster.nodes:
        print(f"database {node.number}: 127.0.0.1:{node.port}")
    for number, item in enumerate(cluster.services, 1):
        print(f"service {number}: {item.url} (watch it: {item.url}/metrics)")
    print(f"Found at {cluster.site}; the first operator joins at")
    print(f"{cluster.site}/join#{cluster.invitation}  (Ctrl-C ends it)", flush=True)
    try:
        while True:
            time.sleep(3600.0)
    except KeyboardInterrupt:
        return True


def main() -> int:
    """As the arguments say; 1 where what was tried failed."""
    work, *more = sys.argv[1:] or ["show"]
    with tempfile.TemporaryDirectory(prefix="nine-knots-cluster-") as folder:
        begun = time.monotonic()
        cluster = Cluster(Path(folder))
        print(f"up in {time.monotonic() - begun:.0f} s", flush=True)
        try:
            if work == "faults":
                return 0 if try_faults(cluster) else 1
            if work == "load":
                anglers, minutes = int(more[0]), float(more[1])
                return 0 if try_load(cluster, anglers, minutes) else 1
            return 0 if show(cluster) else 1
        finally:
            cluster.stop()


if __name__ == "__main__":
    sys.exit(main())
