"""``--lan``: a door with TLS, vouched for by the bench itself; without it nothing but loopback."""

import re
import socket
import ssl

import httpx
import psutil
import pytest
from cryptography import x509

from nine_knots.run.local_ca import home_addresses, issue_certificate
from tests.running import PATIENCE, Running


def test_the_authority_stays_and_the_certificate_follows_the_addresses(tmp_path):
    first = issue_certificate(tmp_path, ("192.168.7.20", "127.0.0.1"))
    again = issue_certificate(tmp_path, ("192.168.7.20", "127.0.0.1"))
    kept = first.certificate.read_bytes()
    assert again.certificate.read_bytes() == kept
    moved = issue_certificate(tmp_path, ("10.0.0.5", "127.0.0.1"))
    assert moved.authority == first.authority
    assert moved.certificate.read_bytes() != kept
    made = x509.load_pem_x509_certificate(moved.certificate.read_bytes())
    authority = x509.load_pem_x509_certificate(moved.authority.encode())
    made.verify_directly_issued_by(authority)
    limits = authority.extensions.get_extension_for_class(x509.NameConstraints).value
    assert all(subtree.value.is_private for subtree in limits.permitted_subtrees)
    assert moved.key.stat().st_mode & 0o077 == 0
    assert home_addresses()[-1].startswith("127.")


@pytest.fixture(scope="module")
def at_home(tmp_path_factory):
    running = Running(tmp_path_factory.mktemp("lan"), "--lan").ready()
    yield running
    running.stop()


def test_a_phone_finds_it_trusts_it_and_is_paired_by_the_code_in_the_window(at_home, tmp_path):
    url = f"https://127.0.0.1:{at_home.port + 1}"
    authority = tmp_path / "authority.crt"
    with httpx.Client(verify=False, timeout=PATIENCE) as unsure:
        authority.write_text(unsure.get(f"{url}/api/v1/phones/authority.crt").text)
    trust = ssl.create_default_context(cafile=str(authority))
    code = re.search(r"/water/pair#([A-Z0-9]{10})", at_home.said)[1]
    with httpx.Client(base_url=url, verify=trust, timeout=PATIENCE) as phone:
        assert phone.get("/api/v1/plans").status_code == 401
        assert "At the water" in phone.get("/water/pair").text
        assert phone.post("/api/v1/phones/pair", json={"code": code}).status_code == 200
        assert phone.get("/api/v1/plans").status_code == 200
    with pytest.raises(httpx.ConnectError):
        httpx.get(url)  # who was not told of the authority does not trust it
    assert at_home.stop() == 0
    with socket.socket() as probe:
        assert probe.connect_ex(("127.0.0.1", at_home.port + 1)) != 0


def test_without_it_only_loopback_is_listened_on(tmp_path):
    running = Running(tmp_path).ready()
    try:
        children = psutil.Process(running.process.pid).children(recursive=True)
        heard = {
            connection.laddr.ip
            for child in children
            for connection in child.net_connections("tcp")
            if connection.status == psutil.CONN_LISTEN
        }
        assert heard == {"127.0.0.1"}
    finally:
        running.stop()
