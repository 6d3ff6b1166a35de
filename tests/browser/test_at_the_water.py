"""A day at the water: planned and packed at the table, fished without a signal, home again."""

import io
import re

import pytest
from PIL import Image
from playwright.sync_api import Page, expect

from nine_knots.demo.days import PLAN_ID
from tests.browser.views import serious

WORKER_READY = "navigator.serviceWorker.ready.then((found) => !!found.active)"
HAPPENED = 30


@pytest.fixture(scope="module")
def packed(program):
    """The demo's day, packed for the phone."""
    body = {"plan_id": PLAN_ID}
    answer = program.http.post("/api/v1/plans/pack", json=body, timeout=120.0)
    return answer.raise_for_status().json()


@pytest.fixture
def phone(open_page, packed) -> Page:
    """At the first stretch with its rig on the line, wherever the test before had left it."""
    page = open_page(f"/water/{PLAN_ID}")
    page.set_viewport_size({"width": 390, "height": 844})
    expect(page.get_by_text("all at the bench")).to_be_visible()
    where = page.get_by_label("Where you are")
    if where.locator("option:checked").inner_text() != "Pockets above the bridge":
        where.select_option(label="Pockets above the bridge")
    rig = page.get_by_role("heading", name="Skarn evening sedge")
    if not rig.is_visible():
        tap(page, "Wallet")
        tap(page, "Put Skarn evening sedge on the line")
        tap(page, "Here")
    expect(rig).to_be_visible()
    expect(page.get_by_text("all at the bench")).to_be_visible()
    return page


def tap(page: Page, name: str) -> None:
    page.get_by_role("button", name=name, exact=True).click()


def take_photo(where, label: str = "Take a photo") -> None:
    """Choose a picture as the camera would have made it."""
    out = io.BytesIO()
    Image.new("RGB", (2400, 1600), (70, 95, 80)).save(out, "JPEG")
    photo = {"name": "seen.jpg", "mimeType": "image/jpeg", "buffer": out.getvalue()}
    where.get_by_label(label, exact=True).set_input_files(files=[photo])


def photos_of(program) -> list[str]:
    return program.http.get("/api/v1/photos", params={"plan_id": PLAN_ID}).json()


def log_of(program) -> list[dict]:
    return program.http.get("/api/v1/events", params={"plan_id": PLAN_ID}).json()


def test_a_day_is_planned_worked_out_and_packed_at_the_table(page):
    page.goto("/days/plan")
    form = page.get_by_role("form", name="The day to plan")
    page.get_by_text("Plan another day").click()
    form.get_by_label("Name").fill("An hour at the bridge")
    form.get_by_role("button", name="the first stretch").click()
    form.get_by_label("Stretch 1 till").fill("8:00")
    page.get_by_role("button", name="Work it out").click()
    expect(page.get_by_role("alert")).to_contain_text("a stretch must end after it starts")
    form.get_by_label("Stretch 1 till").fill("10:00")
    page.get_by_role("button", name="Work it out").click()
    result = page.get_by_role("region", name="The plan")
    expect(result.get_by_role("status").first).to_contain_text("tried on one", timeout=60_000)
    expect(result).to_contain_text("Begin with")
    expect(
        page.get_by_text(re.compile(r"An hour at the bridge, \w+ \d+, 20\d\d: "))
    ).to_be_visible()  # folded away
    page.reload()
    expect(result).to_contain_text("Begin with")
    page.get_by_role("button", name="Pack it for the water").click()
    expect(page.get_by_role("link", name="At the water")).to_be_visible(timeout=60_000)
    at_bench = page.url
    page.get_by_role("link", name="At the water").click()
    expect(page).to_have_url(re.compile(r"/water/[0-9a-f]{32}$"))
    expect(page.get_by_role("navigation", name="At the water")).to_be_visible()
    page.goto(at_bench)
    with page.expect_download() as download:
        page.get_by_role("link", name="For the calendar").click()
    assert download.value.suggested_filename == "an-hour-at-the-bridge.ics"
    page.get_by_role("button", name="Change it").click()
    page.get_by_role("button", name="forget this plan").click()
    expect(page.get_by_text("An hour at the bridge")).to_have_count(0)


def test_work_on_a_new_plan_is_seen_stopped_and_never_queued_twice(page, context):
    asked = []
    context.route("**/api/v1/plans/work", lambda route: asked.append(route))
    page.goto("/days/plan")
    page.get_by_text("Plan another day").click()
    form = page.get_by_role("form", name="The day to plan")
    form.get_by_label("Name").fill("Seen at work")
    form.get_by_role("button", name="the first stretch").click()
    begin = page.get_by_role("button", name="Work it out", exact=True)
    begin.dblclick()
    working = page.get_by_role("status").filter(has_text="trying every leader")
    for _ in range(2):  # also after another page was open
        expect(working).to_be_visible()
        expect(begin).to_be_disabled()
        expect(page.get_by_role("radio", name="Seen at work")).to_have_count(1)
        page.get_by_role("link", name="Shelf").click()
        page.get_by_role("link", name="Days", exact=True).click()
        page.get_by_role("link", name="Plan").click()
    page.get_by_role("button", name="Stop").click()
    expect(page.get_by_text("Stopped.")).to_be_visible()
    expect(begin).to_be_enabled()
    assert len(asked) == 1
    page.get_by_role("button", name="forget this plan").click()
    expect(page.get_by_text("Seen at work")).to_have_count(0)


def test_it_is_fished_without_a_signal_and_comes_home_once(phone, open_page, context, program):
    assert phone.evaluate(WORKER_READY)
    phone.reload()  # now the worker serves it
    expect(phone.get_by_text("all at the bench")).to_be_visible()
    before = len(log_of(program))
    context.set_offline(True)
    try:
        phone.reload()
        expect(phone.get_by_role("heading", name="Skarn evening sedge")).to_be_visible()
        tap(phone, "Happened")
        for _ in range(HAPPENED - 4):
            tap(phone, "Missed take")
            tap(phone, "No details")
        tap(phone, "Fish")
        phone.get_by_label("Which fish").select_option(label="grayling")
        take_photo(phone)
        expect(phone.get_by_text("Photo added")).to_be_visible()
        tap(phone, "Save")
        tap(phone, "Wind knot")
        tap(phone, "Here")
        expect(phone.get_by_role("alert")).to_contain_text("A wind knot halves the strength")
        expect(phone.get_by_text(f"{HAPPENED - 2} not sent yet")).to_be_visible()
        # the page dies and comes back with all of it
        phone.reload()
        expect(phone.get_by_role("alert")).to_contain_text("A wind knot halves the strength")
        phone.close()
        phone = open_page(f"/water/{PLAN_ID}")
        tap(phone, "Happened")
        expect(phone.get_by_text(re.compile("Fish: grayling.*with a photo")).first).to_be_visible()
        tap(phone, "New tippet")
        tap(phone, "Undo")
        tap(phone, "New tippet")
        tap(phone, "Here")
        expect(phone.get_by_role("alert")).to_have_count(0)
    finally:
        context.set_offline(False)
    expect(phone.get_by_text("all at the bench")).to_be_visible(timeout=20_000)
    kept = log_of(program)
    assert {item["detail"].get("photo") for item in kept} >= set(photos_of(program)) != set()
    # the fish told twice and taken back once, the undone tippet: two more and two that take back
    assert len(kept) - before == HAPPENED + 3
    # another phone had a fish meanwhile, and this one sends all it has again
    other = {"event_id": "f" * 32, "plan_id": PLAN_ID, "at": kept[-1]["at"] + 1, "kind": "fish"}
    program.http.post("/api/v1/events", json={"events": [other, *kept]}).raise_for_status()
    phone.reload()
    tap(phone, "Happened")
    expect(phone.get_by_role("listitem").first).to_contain_text("Fish")
    assert len(log_of(program)) == len(kept) + 1


def test_the_day_is_seen_corrected_and_completed_at_the_table(page, packed, program):
    event = {"event_id": "e" * 32, "plan_id": PLAN_ID, "at": 1_787_400_000_000, "kind": "fish"}
    told = {"events": [{**event, "detail": {"fish": "grayling", "mass": 0.5}}]}
    program.http.post("/api/v1/events", json=told).raise_for_status()
    page.goto("/days/log")
    expect(page.get_by_role("region", name="By stretch")).to_be_visible()
    search = page.get_by_role("searchbox", name="Search past days")
    search.fill("nothing like it")
    expect(page.get_by_text("No fished day matches.")).to_be_visible()
    search.fill("")
    page.get_by_text("Saturday, pockets to gorge").click()
    day = page.get_by_role("region", name=re.compile("^Saturday, pockets to gorge, Aug 22, 2026"))
    form = day.get_by_role("form", name="Something not recorded on the phone")
    form.get_by_label("What happened").select_option(label="Note")
    form.get_by_label("Note").fill("mist till ten")
    take_photo(form, "A photo")
    form.get_by_role("button", name="Add it").click()
    note = day.get_by_role("listitem").filter(has_text="Note: mist till ten")
    seen = note.get_by_role("link", name="Show the photo")
    expect(seen).to_be_visible()
    assert (
        seen.locator("img").evaluate("(one) => one.decode().then(() => one.naturalWidth)") == 1600
    )
    drop = note.get_by_role("button", name=re.compile("delete the photo", re.I))
    drop.click()
    expect(drop).to_have_text("this can’t be undone: delete it")
    drop.click()
    expect(note).to_contain_text("The photo isn’t here")
    day.get_by_role("button", name="Undo: Note: mist till ten").click()
    expect(day.get_by_text("Note: mist till ten")).to_have_count(0)
    day.get_by_role("button", name="All days together").click()
    expect(page.get_by_role("region", name="By stretch")).to_be_visible()
    with page.expect_download() as download:
        page.get_by_role("link", name="As CSV").click()
    assert download.value.suggested_filename == "log.csv"


def test_the_water_is_otherwise_and_the_tables_say_what_to_do(phone):
    phone.get_by_label("Where you are").select_option(label="The alder pool, head")
    expect(phone.get_by_text("Planned here: Tight line for the pockets.")).to_be_visible()
    tap(phone, "It is on now")
    expect(phone.get_by_role("heading", name="Tight line for the pockets")).to_be_visible()
    table = phone.get_by_role("region", name="If conditions differ")
    planned = table.get_by_role("status").inner_text()
    assert "right" in planned
    gauge = table.get_by_label("The gauge reads")
    last = gauge.get_by_role("option").count() - 1
    gauge.select_option(index=last)
    expect(table).to_contain_text(re.compile("waist-deep|chest-deep"))
    deep = table.get_by_label("Deep")
    deep.focus()
    for _ in range(5):
        phone.keyboard.press("ArrowLeft")
    expect(table.get_by_role("status")).to_contain_text(re.compile("right|too"))
    tap(phone, "It does not touch")
    expect(phone.get_by_text("Next:")).to_be_visible()


def test_packed_days_come_to_the_phone_by_themselves(open_page, context, packed):
    home = open_page("/water/")
    assert home.evaluate(WORKER_READY)
    home.reload()
    day = home.get_by_role("button", name="Saturday, pockets to gorge")
    expect(day).to_be_visible()
    context.set_offline(True)
    try:
        home.reload()
        day.click()
        expect(home.get_by_label("Where you are")).to_be_visible()
    finally:
        context.set_offline(False)


def test_an_undone_event_takes_its_form_along(phone, context):
    tap(phone, "Happened")
    context.set_offline(True)
    try:
        for undone, waiting in (("Undo", None), ("No details", 1), ("Save", 2)):
            tap(phone, "Fish")
            expect(
                phone.get_by_role("heading", name="Fish: recorded. Add details?")
            ).to_be_visible()
            tap(phone, undone)
            expect(phone.get_by_role("heading", name="Fish: recorded. Add details?")).to_have_count(
                0
            )
            if waiting is None:
                expect(phone.get_by_text("not sent yet")).to_have_count(0)
            else:
                expect(phone.get_by_text(f"{waiting} not sent yet")).to_be_visible()
    finally:
        context.set_offline(False)
    for _ in range(2):
        phone.get_by_role("button", name=re.compile("^Undo.*Fish")).first.click()
    expect(phone.get_by_text("all at the bench")).to_be_visible(timeout=20_000)


def test_what_cannot_be_kept_is_said_at_once(open_page, packed):
    page = open_page("/water/")
    page.add_init_script(
        "IDBFactory.prototype.open = () => { throw new DOMException('full', 'QuotaExceededError') }"
    )
    page.goto(f"/water/{PLAN_ID}")
    expect(page.get_by_role("alert")).to_contain_text("store anything here")
    tap(page, "Happened")
    tap(page, "Snagged")
    expect(page.get_by_role("alert")).to_contain_text("wasn’t saved")


@pytest.mark.parametrize("look", ["Sun", "Night"])
def test_every_view_at_the_water_is_accessible_and_fits_a_thumb(phone, look):
    if look == "Night":
        tap(phone, "Night")
    for part in ("Here", "Happened", "Wallet"):
        tap(phone, part)
        assert serious(phone) == []
        for width, height in ((360, 740), (430, 930), (844, 390)):
            phone.set_viewport_size({"width": width, "height": height})
            assert phone.evaluate("document.documentElement.scrollWidth") <= width
            small = phone.evaluate(
                "[...document.querySelectorAll('button, select, input[type=range]')]"
                ".filter((one) => one.getBoundingClientRect().height < 56)"
                ".map((one) => one.outerHTML)"
            )
            assert small == []
            fine = phone.evaluate(
                "[...document.querySelectorAll('p, b, button, span, dt, dd, h1, h2, option')]"
                ".filter((one) => parseFloat(getComputedStyle(one).fontSize) < 16).length"
            )
            assert fine == 0
    tap(phone, "Happened")
    tap(phone, "Broke")
    assert serious(phone) == []
    tap(phone, "Undo")


def test_a_day_in_one_file_is_opened_from_disk_and_its_log_comes_home(
    browser, open_page, packed, program, tmp_path
):
    answer = program.http.get(f"/api/v1/plans/{PLAN_ID}/pack.html")
    assert "attachment" in answer.headers["content-disposition"]
    assert len(answer.content) < 3_000_000
    file = tmp_path / "day.html"
    file.write_bytes(answer.content)
    page = browser.new_page()
    asked = []
    page.on("request", lambda item: asked.append(item.url))
    page.goto(f"file://{file}")
    expect(page.get_by_role("heading", name="Skarn evening sedge")).to_be_visible()
    tap(page, "Happened")
    tap(page, "Fish")
    take_photo(page)
    expect(page.get_by_text("Photo added")).to_be_visible()
    tap(page, "Save")
    expect(page.get_by_role("button", name="Undo", exact=True)).to_have_count(0)  # it is kept
    expect(page.get_by_text("1 in this file’s log")).to_be_visible()
    page.reload()
    expect(page.get_by_text("1 in this file’s log")).to_be_visible()  # told anew, and its photo
    tap(page, "Wallet")
    with page.expect_download() as download:
        tap(page, "Save the log as a file")
    assert [
        question for question in asked if not question.startswith(("file:", "data:", "blob:"))
    ] == []
    log = tmp_path / download.value.suggested_filename
    download.value.save_as(log)
    page.close()
    table = open_page("/days/log")
    for words in ("3 events and one photo imported.", "Everything was already here."):
        table.get_by_label("Import a phone’s log").set_input_files(log)
        expect(table.get_by_text(words)).to_be_visible()
