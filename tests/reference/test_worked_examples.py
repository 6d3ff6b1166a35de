"""Every law of physics carries a worked example, and every example in the sources runs."""

import doctest
import inspect
from importlib import import_module
from pkgutil import walk_packages

import pytest

import nine_knots

LAWS = (
    "air",
    "bodies",
    "elastica",
    "fall",
    "floats",
    "fresh_water",
    "sea_water",
    "section",
    "slack",
    "stream",
    "thin_line",
    "weakest_link",
)


def documented(module):
    """Public functions and methods of a module with their docstrings; compiled kernels too."""
    for name, item in vars(module).items():
        function = getattr(item, "py_func", item)
        if inspect.isfunction(function) and function.__module__ == module.__name__:
            yield name, function.__doc__ or ""
        elif inspect.isclass(item) and item.__module__ == module.__name__:
            for inner, method in vars(item).items():
                method = getattr(method, "fget", method)
                if inspect.isfunction(method) and method.__doc__:
                    yield f"{name}.{inner}", method.__doc__


def modules():
    for found in walk_packages(nine_knots.__path__, "nine_knots."):
        if not found.name.endswith("__main__"):
            yield import_module(found.name)


@pytest.mark.parametrize("law", LAWS)
def test_every_law_has_an_example(law):
    module = import_module(f"nine_knots.core.mechanics.{law}")
    missing = [
        name
        for name, text in documented(module)
        if not name.startswith("_") and "." not in name and ">>>" not in text
    ]
    assert missing == []


def test_every_example_comes_out_as_it_says():
    runner = doctest.DocTestRunner(optionflags=doctest.NORMALIZE_WHITESPACE)
    parser = doctest.DocTestParser()
    for module in modules():
        for name, text in documented(module):
            if ">>>" in text:
                where = f"{module.__name__}.{name}"
                runner.run(parser.get_doctest(text, dict(vars(module)), where, None, 0))
    assert runner.tries > 35
    assert runner.failures == 0
