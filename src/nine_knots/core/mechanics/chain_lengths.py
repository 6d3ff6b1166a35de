"""Links that keep their lengths: the tensions of a step, by Newton's method. Rows as in ``chain``.

The kicked nodes are pushed along the links of the old positions (SHAKE [S: Ryckaert1977]) until
every link has its length, or its stretch l T / EA. The system is tridiagonal. It is factored once
and then used for all iterations of a step (a chord method), from both ends to the middle at once,
so that two rows of sums that wait for one another run side by side.
"""

import numpy as np
from numpy.typing import NDArray

from nine_knots.core.base.kernel import kernel, row_kernel
from nine_knots.core.mechanics.bits import float_bits, float_from_bits
from nine_knots.core.mechanics.chain import (
    ALONG_X,
    ALONG_Y,
    BEFORE,
    COUPLING,
    DIAGONAL,
    ERROR,
    GIVE,
    IMPULSE,
    INVERSE,
    LOWER,
    REST,
    SLACK,
    STRETCH,
    TO_X,
    TO_Y,
    TRIED,
    UPPER,
    WITH,
)

Array = NDArray[np.float64]

ITERATIONS = 10
LENGTH_ERROR = 3e-5  # of a link's length, at which the iteration ends
SLOW = 0.3  # of the error left by an iteration, above which the system is factored anew


@kernel
def pull_together(b: Array, nodes: int, step: float, last: float) -> float:
    """Push the kicked nodes until every link keeps its length; the worst error, of its length.

    The tensions of the last step are the first guess; they and those found are kept as impulses
    (tension times step squared).
    """
    guess(b, nodes, step, last)
    push(b, nodes, TRIED)
    before = 1.0e9
    for _ in range(ITERATIONS):
        worst = length_errors(b, nodes)
        if worst < LENGTH_ERROR:
            return worst
        if worst > SLOW * before or before == 1.0e9:
            matrix(b, nodes)
            factor(b, nodes - 1)
        before = worst
        solve(b, nodes - 1)
        push(b, nodes, ERROR)
    return length_errors(b, nodes)


@row_kernel
def guess(b: Array, nodes: int, step: float, last: float) -> None:
    """Last step's tensions as impulses of this step, and the stretch per impulse."""
    ratio, inverse = (step / last) * (step / last), 1.0 / (step * step)
    for j in range(nodes - 1):
        b[TRIED + j] = b[IMPULSE + j] * ratio
        b[SLACK + j] = b[STRETCH + j] * inverse


@row_kernel
def push(b: Array, nodes: int, row: int) -> None:
    """Move the kicked nodes by the impulses in ``row``, each along its link."""
    for i in range(nodes):
        below, above = b[row + i], b[row + i - 1]
        b[TO_X + i] += b[GIVE + i] * (below * b[ALONG_X + i] - above * b[ALONG_X + i - 1])
        b[TO_Y + i] += b[GIVE + i] * (below * b[ALONG_Y + i] - above * b[ALONG_Y + i - 1])


@row_kernel
def length_errors(b: Array, nodes: int) -> float:
    """(L² - |d|²) / 2l of every link, L its length with stretch; the worst, of its length."""
    worst = float_bits(0.0)
    for j in range(nodes - 1):
        dx, dy = b[TO_X + j + 1] - b[TO_X + j], b[TO_Y + j + 1] - b[TO_Y + j]
        wanted = b[REST + j] + b[SLACK + j] * b[TRIED + j]
        error = 0.5 * (wanted * wanted - dx * dx - dy * dy) * b[INVERSE + j]
        b[ERROR + j] = error
        worst = max(worst, float_bits(abs(error) * b[INVERSE + j]))
    return float_from_bits(worst)


@row_kernel
def matrix(b: Array, nodes: int) -> None:
    """How every link's length changes with its own impulse and with its neighbours'."""
    for j in range(nodes - 1):
        ux = (b[TO_X + j + 1] - b[TO_X + j]) * b[INVERSE + j]
        uy = (b[TO_Y + j + 1] - b[TO_Y + j]) * b[INVERSE + j]
        own = ux * b[ALONG_X + j] + uy * b[ALONG_Y + j]
        b[DIAGONAL + j] = -(b[GIVE + j] + b[GIVE + j + 1]) * own - b[SLACK + j]
        b[UPPER + j] = b[GIVE + j + 1] * (ux * b[ALONG_X + j + 1] + uy * b[ALONG_Y + j + 1])
        b[LOWER + j] = b[GIVE + j] * (ux * b[ALONG_X + j - 1] + uy * b[ALONG_Y + j - 1])
    b[LOWER] = 0.0
    b[UPPER + nodes - 2] = 0.0


@row_kernel
def factor(b: Array, links: int) -> None:
    """Eliminate from both ends to the middle; the diagonal becomes the inverse pivots.

    Above the middle ``LOWER`` and ``UPPER`` are scaled so that y_j = e_j - lower_j y_(j-1) and
    x_j = y_j - upper_j x_(j+1); below it the two change places.
    """
    for j in range(links):
        b[DIAGONAL + j] = 1.0 / b[DIAGONAL + j]
    for j in range(links):
        share = b[LOWER + j] * b[DIAGONAL + j]
        b[COUPLING + j] = share * b[UPPER + j - 1] * b[DIAGONAL + j - 1]
    b[COUPLING] = b[COUPLING + links] = 0.0
    continuants(b, links)
    middle = links // 2
    lower, upper, own = b[LOWER + middle], b[UPPER + middle], b[DIAGONAL + middle]
    for j in range(links):
        pivot = b[DIAGONAL + j] * b[BEFORE + j] / b[WITH + j]
        b[DIAGONAL + j] = pivot
        b[UPPER + j] *= pivot
        b[LOWER + j] *= pivot
    b[LOWER + middle], b[UPPER + middle] = lower, upper
    rest = lower * b[UPPER + middle - 1] + upper * b[LOWER + middle + 1]
    b[DIAGONAL + middle] = own / (1.0 - own * rest)


@row_kernel
def continuants(b: Array, links: int) -> None:
    """The determinants of the first k links, by k, and of the last, each row over its diagonal.

    φ_k = φ_(k-1) - c_k φ_(k-2), c the coupling: a pivot is one over that before it, and no division
    waits for another. A link more halves them at the least, where masses are alike: none of half
    a row comes near to nothing [S: Muir1960].
    """
    middle = links // 2
    below = links - 1 - middle
    before, last, under, lowest = 1.0, 1.0, 1.0, 1.0
    for k in range(below):
        i = links - 1 - k
        b[BEFORE + k], b[BEFORE + i] = last, lowest
        before, last = last, last - b[COUPLING + k] * before
        under, lowest = lowest, lowest - b[COUPLING + i + 1] * under
        b[WITH + k], b[WITH + i] = last, lowest
    if below < middle:
        b[BEFORE + below] = last
        b[WITH + below] = last - b[COUPLING + below] * before
    b[BEFORE + middle] = b[WITH + middle] = 1.0


@row_kernel
def solve(b: Array, links: int) -> None:
    """The impulses that mend the errors, in ``ERROR``, and added to those tried."""
    middle = links // 2
    below = links - 1 - middle  # as many as before the middle, or one less
    for j in range(links):
        b[ERROR + j] *= b[DIAGONAL + j]
    above, under = 0.0, 0.0
    for k in range(below):
        i = links - 1 - k
        above = b[ERROR + k] - b[LOWER + k] * above
        under = b[ERROR + i] - b[UPPER + i] * under
        b[ERROR + k], b[ERROR + i] = above, under
    if below < middle:
        above = b[ERROR + below] - b[LOWER + below] * above
        b[ERROR + below] = above
    crossing = b[LOWER + middle] * above + b[UPPER + middle] * under
    above = under = b[ERROR + middle] - b[DIAGONAL + middle] * crossing
    b[ERROR + middle] = above
    for k in range(1, below + 1):
        j, i = middle - k, middle + k
        above = b[ERROR + j] - b[UPPER + j] * above
        under = b[ERROR + i] - b[LOWER + i] * under
        b[ERROR + j], b[ERROR + i] = above, under
    if below < middle:
        b[ERROR] -= b[UPPER] * above
    for j in range(links):
        b[TRIED + j] += b[ERROR + j]
