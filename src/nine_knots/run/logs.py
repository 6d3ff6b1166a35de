"""What the service writes of itself: lines for the window at home, JSON lines where it is hosted,
by the structlog package. Nothing of it is about anybody: calls are told by their route."""

import logging
import sys

import structlog


def write_logs(hosted: bool) -> None:
    """Have everything that is logged from here on written to the standard error."""
    stamped: list[structlog.typing.Processor] = [
        structlog.stdlib.add_log_level,
        structlog.processors.TimeStamper(fmt="iso", utc=True),
        structlog.processors.format_exc_info,
    ]
    shown: structlog.typing.Processor = (
        structlog.processors.JSONRenderer()
        if hosted
        else structlog.dev.ConsoleRenderer(colors=False)
    )
    handler = logging.StreamHandler(sys.stderr)
    handler.setFormatter(
        structlog.stdlib.ProcessorFormatter(foreign_pre_chain=stamped, processor=shown)
    )
    logging.basicConfig(
        level=logging.INFO if hosted else logging.WARNING, handlers=[handler], force=True
    )
    for noisy in ("httpx", "asyncio", "numba"):
        logging.getLogger(noisy).setLevel(logging.WARNING)
    structlog.configure(
        processors=[
            structlog.stdlib.filter_by_level,
            *stamped,
            structlog.stdlib.ProcessorFormatter.wrap_for_formatter,
        ],
        logger_factory=structlog.stdlib.LoggerFactory(),
        cache_logger_on_first_use=True,
    )
