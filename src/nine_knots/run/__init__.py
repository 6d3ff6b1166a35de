"""Starting everything: the private database server, the built interface, the service."""

from pathlib import Path

PROJECT = Path(__file__).resolve().parents[3]
