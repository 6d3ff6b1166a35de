"""A device that keeps passkeys, in software: it makes and shows them as Web Authentication says
[S: WebAuthn2021, sections 6.1, 6.5 and 8.7, from memory]: authenticator data, attested credential
data, attestation “none”."""

import hashlib
import json
import secrets
from base64 import urlsafe_b64encode

import cbor2
from cryptography.hazmat.primitives.asymmetric import ec
from cryptography.hazmat.primitives.hashes import SHA256

PRESENT, VERIFIED, ATTESTED = 0x01, 0x04, 0x40


def text(raw: bytes) -> str:
    return urlsafe_b64encode(raw).rstrip(b"=").decode()


class Device:
    """Keeps one passkey, of one site; ``verifies`` whether it asks who holds it."""

    def __init__(self, origin: str, verifies: bool = True) -> None:
        self.origin, self.flags = origin, PRESENT | (VERIFIED if verifies else 0)
        self.key = ec.generate_private_key(ec.SECP256R1())
        self.credential_id = secrets.token_bytes(32)
        self.count = 0

    def _data(self, site: str, more: bytes = b"", flags: int = 0) -> bytes:
        self.count += 1
        head = bytes([self.flags | flags]) + self.count.to_bytes(4, "big")
        return hashlib.sha256(site.encode()).digest() + head + more

    def _said(self, kind: str, challenge: str) -> bytes:
        said = {"type": kind, "challenge": challenge, "origin": self.origin, "crossOrigin": False}
        return json.dumps(said).encode()

    def _credential(self, response: dict[str, str]) -> dict:
        of = text(self.credential_id)
        return {"id": of, "rawId": of, "type": "public-key", "response": response}

    def make(self, options: str) -> dict:
        """Make the passkey that is asked for."""
        asked = json.loads(options)
        numbers = self.key.public_key().public_numbers()
        point = {-2: numbers.x.to_bytes(32, "big"), -3: numbers.y.to_bytes(32, "big")}
        cose = cbor2.dumps({1: 2, 3: -7, -1: 1, **point})
        attested = bytes(16) + len(self.credential_id).to_bytes(2, "big")
        data = self._data(asked["rp"]["id"], attested + self.credential_id + cose, ATTESTED)
        statement = cbor2.dumps({"fmt": "none", "attStmt": {}, "authData": data})
        said = self._said("webauthn.create", asked["challenge"])
        return self._credential(
            {"clientDataJSON": text(said), "attestationObject": text(statement)}
        )

    def show(self, options: str) -> dict:
        """Sign what is to be signed."""
        asked = json.loads(options)
        data = self._data(asked["rpId"])
        said = self._said("webauthn.get", asked["challenge"])
        signed = self.key.sign(data + hashlib.sha256(said).digest(), ec.ECDSA(SHA256()))
        return self._credential(
            {
                "clientDataJSON": text(said),
                "authenticatorData": text(data),
                "signature": text(signed),
            }
        )
