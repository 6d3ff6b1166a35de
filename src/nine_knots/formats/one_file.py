"""A packed day as one HTML file with everything inside: script, style, faces and the day.

Opened from a phone's files it needs no network and no server; what happens is kept by the browser
and saved as a log file to bring home.
"""

import re
from base64 import b64encode
from pathlib import Path

SCRIPT = re.compile(r'<script type="module"[^>]*src="/water/(assets/[^"]+)"[^>]*></script>')
STYLE = re.compile(r'<link rel="stylesheet"[^>]*href="/water/(assets/[^"]+)"[^>]*>')
OTHER = re.compile(r'<link rel="(?:manifest|icon)"[^>]*>')
FACE = re.compile(r"url\(/water/(assets/[^)]+\.woff2)\)")


def write_one_file(built: Path, pack: str) -> str:
    """The file of a pack (JSON), from the folder of the built view at the water."""

    def script(found: re.Match[str]) -> str:
        text = (built / found[1]).read_text().replace("</script", "<\\/script")
        return f'<script type="module">{text}</script>'

    def style(found: re.Match[str]) -> str:
        return f"<style>{FACE.sub(face, (built / found[1]).read_text())}</style>"

    def face(found: re.Match[str]) -> str:
        data = b64encode((built / found[1]).read_bytes()).decode()
        return f"url(data:font/woff2;base64,{data})"

    page = OTHER.sub("", (built / "index.html").read_text())
    page = STYLE.sub(style, page)
    inside = pack.replace("<", "\\u003c")
    day = f'<script type="application/json" id="pack">{inside}</script>'
    page = page.replace("</head>", f"{day}</head>")
    return SCRIPT.sub(script, page)
