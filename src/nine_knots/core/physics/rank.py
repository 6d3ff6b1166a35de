"""The greatest of many numbers, as a compiler finds several at once.

Numbers from 0 up stand in the same order as their bits taken for whole numbers. Of whole numbers
the greatest is sought many at a time; of others it is not, since one might be no number.
"""

import numpy as np

from nine_knots.core.base.kernel import row_kernel


@row_kernel
def rank(number: float) -> int:
    """A whole number that grows with ``number``; below 0 for what is below 0, in no order.

    >>> rank(0.0) == 0 < rank(1e-9) < rank(2.0) and rank(-1.0) < 0
    True
    """
    return int(np.float64(number).view(np.int64))


@row_kernel
def ranked(place: int) -> float:
    """The number of a rank from 0 up.

    >>> ranked(rank(0.15))
    0.15
    """
    return float(np.int64(place).view(np.float64))
