"""Where workers of other machines come to, and by which keys they are known."""

from dataclasses import dataclass


@dataclass(frozen=True, slots=True)
class RemoteKeys:
    """The service's key pair, and the public key of the workers that are heard (Z85 text)."""

    public: str
    secret: str
    workers: str


@dataclass(frozen=True, slots=True)
class RemoteAddress:
    """Where workers of other machines come to: an address such as ``tcp://0.0.0.0:8919``."""

    address: str
    keys: RemoteKeys
