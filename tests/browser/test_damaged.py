"""Damaged data is shown as damaged beside the rest, and given out as it is."""

import json
import re

from playwright.sync_api import expect

from nine_knots.run.mariadb import PrivateServer
from nine_knots.store import Database
from tests.browser.conftest import draft_kept, open_from_shelf, piece

AGE_THE_DRAFTS = """(version) => new Promise((done, failed) => {
  const opened = indexedDB.open('nine-knots')
  opened.onerror = failed
  opened.onsuccess = () => {
    const store = opened.result.transaction('drafts', 'readwrite').objectStore('drafts')
    store.openCursor().onsuccess = ({ target }) => {
      const cursor = target.result
      if (!cursor) return done()
      if (cursor.key.endsWith('/head')) cursor.update({ ...cursor.value, version })
      cursor.continue()
    }
  }
})"""


def test_a_damaged_leader_is_shown_beside_the_others(page, program):
    first = program.http.get("/api/v1/leaders").json()[0]
    design = program.http.get(f"/api/v1/leaders/{first['leader_id']}").json()["design"]
    half = {**design, "title": "Half a leader"}
    leader_id = program.http.post("/api/v1/leaders", json=half).json()["leader_id"]
    database = Database(PrivateServer.running(program.local / "database").address)
    database.transact(
        lambda cursor: cursor.execute(
            "UPDATE revision SET body = %s WHERE leader_id = %s", ('{"half": true}', leader_id)
        )
    )
    database.close()
    page.goto("/shelf")
    card = page.get_by_role("listitem").filter(has_text="Half a leader")
    expect(card).to_contain_text("Damaged")
    expect(card).to_contain_text("the other leaders are fine")
    expect(page.get_by_role("button", name=re.compile("^Compare: "))).not_to_have_count(0)
    with page.expect_download() as download:
        card.get_by_role("button", name="Export: Half a leader").click()
    assert json.loads(json.loads(download.value.path().read_text())["body"]) == {"half": True}
    card.get_by_role("button", name="Take off: Half a leader").click()
    expect(card).to_have_count(0)


def test_a_draft_that_cannot_be_read_is_told_and_given_out(page):
    with draft_kept(page):
        open_from_shelf(page, "Night pool")
    expect(piece(page, 1)).to_be_visible()
    with draft_kept(page):  # every place keeps what it has read: aged before, it would be young
        page.goto("/knots/blood")
    expect(page.locator("svg.knot")).to_be_visible()
    page.wait_for_load_state("networkidle")  # it is kept once more when its reading has come
    page.evaluate(AGE_THE_DRAFTS, 99)
    page.goto("/")
    told = page.get_by_role("alert").filter(has_text="draft in this browser is damaged")
    expect(told).to_contain_text("version 99")
    expect(piece(page, 1)).to_be_visible()
    with page.expect_download() as download:
        told.get_by_role("button", name="Export the draft").click()
    assert json.loads(download.value.path().read_text())["entries"]
    told.get_by_role("button", name="Discard it").click()
    page.reload()
    expect(piece(page, 1)).to_be_visible()
    expect(told).to_have_count(0)
