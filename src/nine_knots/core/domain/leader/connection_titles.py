"""What a way to join is called."""

from nine_knots.core.domain.knots import KNOTS
from nine_knots.core.domain.leader.joints import Connection


def choice_title(joint: Connection) -> str:
    """A joint in two or three words, without its turns."""
    name = KNOTS[joint.knot].title
    if joint.kind == "knot":
        return name
    if joint.kind == "loops":
        return f"loop to loop, {name}"
    if joint.kind == "snap":
        return f"snap, {name}"
    if joint.kind == "fly":
        return f"fly in line, tied from the {joint.tied_from}"
    return f"{joint.kind} between two knots"


def with_article(name: str, begins: bool = True) -> str:
    """A name with its article: ``an improved clinch``, ``a ring between two knots``."""
    article = "an" if name[0] in "aeio" else "a"
    return f"{article.capitalize() if begins else article} {name}"
