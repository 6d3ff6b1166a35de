"""A certificate authority of the bench's own, and the certificate it gives the bench at home.

Made on first use and kept with the data. Whoever installs the authority on a phone trusts this
bench by it and nothing on the open net: it is bound to the addresses of private networks.
"""

import datetime
import ipaddress
import os
import socket
from dataclasses import dataclass
from pathlib import Path

import psutil
from cryptography import x509
from cryptography.hazmat.primitives import hashes, serialization
from cryptography.hazmat.primitives.asymmetric import ec
from cryptography.x509.oid import ExtendedKeyUsageOID, NameOID

TEN_YEARS, A_YEAR, A_MONTH = (datetime.timedelta(days=days) for days in (3650, 365, 30))
PRIVATE = tuple(
    ipaddress.ip_network(net)
    for net in ("10.0.0.0/8", "172.16.0.0/12", "192.168.0.0/16", "169.254.0.0/16", "127.0.0.0/8")
)


@dataclass(frozen=True)
class IssuedCertificate:
    """Files of the certificate and its key, the authority as PEM, the addresses vouched for."""

    certificate: Path
    key: Path
    authority: str
    addresses: tuple[str, ...]


def home_addresses() -> tuple[str, ...]:
    """IPv4 addresses of this machine in private networks, loopback last."""
    found = [
        address.address
        for addresses in psutil.net_if_addrs().values()
        for address in addresses
        if address.family == socket.AF_INET
        and any(ipaddress.ip_address(address.address) in net for net in PRIVATE)
    ]
    return tuple(sorted(set(found), key=lambda word: (word.startswith("127."), word)))


def issue_certificate(folder: Path, addresses: tuple[str, ...]) -> IssuedCertificate:
    """The bench's certificate for these addresses, made anew where they changed or it grows old."""
    folder.mkdir(mode=0o700, parents=True, exist_ok=True)
    key, certificate = folder / "bench.key", folder / "bench.crt"
    authority_key, authority = _authority(folder)
    if not _is_good(certificate, key, addresses, authority):
        own = ec.generate_private_key(ec.SECP256R1())
        made = _certificate(own, authority_key, authority, addresses)
        _write(key, _key_pem(own))
        _write(certificate, made.public_bytes(serialization.Encoding.PEM))
    text = authority.public_bytes(serialization.Encoding.PEM).decode()
    return IssuedCertificate(certificate, key, text, addresses)


def _authority(folder: Path) -> tuple[ec.EllipticCurvePrivateKey, x509.Certificate]:
    key_file, file = folder / "authority.key", folder / "authority.crt"
    if key_file.exists() and file.exists():
        key = serialization.load_pem_private_key(key_file.read_bytes(), None)
        found = x509.load_pem_x509_certificate(file.read_bytes())
        if isinstance(key, ec.EllipticCurvePrivateKey) and found.not_valid_after_utc > _now():
            return key, found
    key = ec.generate_private_key(ec.SECP256R1())
    name = x509.Name([x509.NameAttribute(NameOID.COMMON_NAME, "Nine Knots, this bench at home")])
    made = (
        x509.CertificateBuilder()
        .subject_name(name)
        .issuer_name(name)
        .public_key(key.public_key())
        .serial_number(x509.random_serial_number())
        .not_valid_before(_now() - A_MONTH)
        .not_valid_after(_now() + TEN_YEARS)
        .add_extension(x509.BasicConstraints(ca=True, path_length=0), critical=True)
        .add_extension(_usage(signs_certificates=True), critical=True)
        .add_extension(
            x509.NameConstraints([x509.IPAddress(net) for net in PRIVATE], None), critical=True
        )
        .add_extension(x509.SubjectKeyIdentifier.from_public_key(key.public_key()), critical=False)
        .sign(key, hashes.SHA256())
    )
    _write(key_file, _key_pem(key))
    _write(file, made.public_bytes(serialization.Encoding.PEM))
    return key, made


def _certificate(
    own: ec.EllipticCurvePrivateKey,
    authority_key: ec.EllipticCurvePrivateKey,
    authority: x509.Certificate,
    addresses: tuple[str, ...],
) -> x509.Certificate:
    names = x509.SubjectAlternativeName(
        [x509.IPAddress(ipaddress.ip_address(address)) for address in addresses]
    )
    return (
        x509.CertificateBuilder()
        .subject_name(x509.Name([x509.NameAttribute(NameOID.COMMON_NAME, "Nine Knots")]))
        .issuer_name(authority.subject)
        .public_key(own.public_key())
        .serial_number(x509.random_serial_number())
        .not_valid_before(_now() - datetime.timedelta(days=1))
        .not_valid_after(_now() + A_YEAR)
        .add_extension(names, critical=False)
        .add_extension(x509.BasicConstraints(ca=False, path_length=None), critical=True)
        .add_extension(_usage(signs_certificates=False), critical=True)
        .add_extension(x509.ExtendedKeyUsage([ExtendedKeyUsageOID.SERVER_AUTH]), critical=False)
        .add_extension(
            x509.AuthorityKeyIdentifier.from_issuer_public_key(authority_key.public_key()),
            critical=False,
        )
        .sign(authority_key, hashes.SHA256())
    )


def _usage(*, signs_certificates: bool) -> x509.KeyUsage:
    return x509.KeyUsage(
        digital_signature=not signs_certificates,
        key_cert_sign=signs_certificates,
        crl_sign=signs_certificates,
        content_commitment=False,
        key_encipherment=False,
        data_encipherment=False,
        key_agreement=False,
        encipher_only=False,
        decipher_only=False,
    )


def _is_good(
    certificate: Path, key: Path, addresses: tuple[str, ...], authority: x509.Certificate
) -> bool:
    if not (certificate.exists() and key.exists()):
        return False
    found = x509.load_pem_x509_certificate(certificate.read_bytes())
    names = found.extensions.get_extension_for_class(x509.SubjectAlternativeName).value
    vouched = {str(item) for item in names.get_values_for_type(x509.IPAddress)}
    return (
        vouched == set(addresses)
        and found.not_valid_after_utc - A_MONTH > _now()
        and found.issuer == authority.subject
    )


def _now() -> datetime.datetime:
    return datetime.datetime.now(datetime.UTC)


def _key_pem(key: ec.EllipticCurvePrivateKey) -> bytes:
    return key.private_bytes(
        serialization.Encoding.PEM,
        serialization.PrivateFormat.PKCS8,
        serialization.NoEncryption(),
    )


def _write(path: Path, content: bytes) -> None:
    """Written whole or not at all, and read by nobody else."""
    fresh = path.with_suffix(".new")
    with os.fdopen(os.open(fresh, os.O_WRONLY | os.O_CREAT | os.O_TRUNC, 0o600), "wb") as out:
        out.write(content)
    fresh.replace(path)
