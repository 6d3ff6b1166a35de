"""Pull tests as CSV: there and back, and every bad line named."""

import pytest

from nine_knots.core.errors import Unreadable
from nine_knots.core.knots.own import PullTest
from nine_knots.formats.pulls_csv import PullRow, read_pulls, write_pulls

TEST = PullTest(knot="blood", family="nylon", strand_n=40.0, broke_n=33.25, set_aside=True)
HEAD = "knot,family,line,strand_n,broke_n,set_aside\n"


def test_what_is_written_reads_back():
    rows = (PullRow(TEST, "Mist, soft “5X”"),)
    assert read_pulls("\ufeff" + write_pulls(rows)) == rows


@pytest.mark.parametrize(
    ("text", "said"),
    [
        ("knot,family\n", "no column line"),
        (HEAD + "granny,nylon,a,40,30,no\n", "Line 2"),
        (HEAD + "blood,nylon,a,40,30,no\nblood,nylon,a,40,much,no\n", "Line 3"),
        (HEAD + "blood,nylon,a,40,-3,no\n", "Line 2"),
        (HEAD + "blood,nylon,a,40,inf,no\n", "Line 2"),
        (HEAD + "blood,nylon,a,40,30,perhaps\n", "not yes or no"),
    ],
)
def test_a_bad_file_is_refused_by_its_line(text, said):
    with pytest.raises(Unreadable, match=said):
        read_pulls(text)
