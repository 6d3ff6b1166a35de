"""Pull tests as CSV: there and back, and every bad line named."""

import csv
import io
from contextlib import suppress

import pytest
from hypothesis import example, given, settings
from hypothesis import strategies as st

from nine_knots.core.base.errors import Unreadable
from nine_knots.core.domain.knots.own import PullTest
from nine_knots.formats.pulls_csv import PullRow, read_pulls, write_pulls
from nine_knots.formats.text import from_cell

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
        (HEAD + "blood,nylon\n", "Line 2"),
        (HEAD + 'blood,nylon,"a,40,30,no\n', "not valid CSV"),
        (HEAD + "blood,ny\rlon,a,40,30,no\n", "Line 2|not valid CSV"),
        (HEAD + "blood,nylon," + "a" * 140_000 + ",40,30,no\n", "not valid CSV"),
        ("", "no column"),
    ],
)
def test_a_bad_file_is_refused_by_its_line(text, said):
    with pytest.raises(Unreadable, match=said):
        read_pulls(text)


@given(at=st.integers(0, 400), put=st.text(max_size=3), cut=st.integers(0, 4))
@settings(max_examples=300)
def test_whatever_is_broken_in_a_file_it_is_read_or_refused(at, put, cut):
    text = write_pulls((PullRow(TEST, "Mist, soft “5X”"), PullRow(TEST, "Frost")) * 3)
    with suppress(Unreadable):
        read_pulls(text[:at] + put + text[at + cut :])


@given(line=st.text(st.characters(exclude_categories=["Cs", "Cc"]), min_size=1, max_size=80))
@example("=cmd|' /C calc'!A0")
@example("'=a")
@example("-3X")
def test_no_cell_is_a_formula_and_every_name_comes_back(line):
    line = line.strip() or "unnamed"
    text = write_pulls((PullRow(TEST, line),))
    cell = next(csv.DictReader(io.StringIO(text)))["line"]
    assert cell[:1] not in "=+-@\t\r"
    (row,) = read_pulls(text)
    assert row.line in (line, from_cell(line))
