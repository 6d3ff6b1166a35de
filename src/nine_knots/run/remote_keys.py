"""The keys by which a service and its workers elsewhere know each other: made once, two files."""

import json
from dataclasses import asdict, dataclass
from pathlib import Path

import zmq

from nine_knots.api.jobs.remote_address import RemoteKeys
from nine_knots.core.base.errors import NineKnotsError

SERVICE, HELPER = "hall.key", "helper.key"


class NoKey(NineKnotsError):
    """A file of keys that is none."""

    code = "no-key"


@dataclass(frozen=True, slots=True)
class HelperKeys:
    """The workers' key pair and the service's public key (Z85 text)."""

    public: str
    secret: str
    service: str


def hall_keys(folder: Path) -> RemoteKeys:
    """The service's keys of a folder, made where there are none; beside them the file to copy to
    machines that help."""
    path = folder / SERVICE
    if not path.exists():
        folder.mkdir(parents=True, exist_ok=True)
        public, secret = (key.decode() for key in zmq.curve_keypair())
        theirs, their_secret = (key.decode() for key in zmq.curve_keypair())
        _write(folder / HELPER, asdict(HelperKeys(theirs, their_secret, public)))
        _write(path, asdict(RemoteKeys(public, secret, theirs)))
    return RemoteKeys(**_read(path))


def read_helper_keys(path: Path) -> HelperKeys:
    """The keys of a copied file; NoKey where it is none."""
    try:
        return HelperKeys(**_read(path))
    except (TypeError, ValueError, OSError) as odd:
        raise NoKey(
            f"{path} contains no keys.", hint=f"Copy {HELPER} from the service's folder."
        ) from odd


def _read(path: Path) -> dict[str, str]:
    found = json.loads(path.read_text("utf-8"))
    return {str(name): str(value) for name, value in found.items()}


def _write(path: Path, keys: dict[str, str]) -> None:
    path.touch(mode=0o600)
    path.write_text(json.dumps(keys), "utf-8")
