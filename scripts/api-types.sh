#!/usr/bin/env bash
# Writes what the interface takes from Python: types by the OpenAPI document, today's versions of
# what is kept, the colours; and the published schema of leader files. With --check it only says
# whether they stand.
set -euo pipefail
PROJECT="$(cd "$(dirname "${BASH_SOURCE[0]}")/.." && pwd)"
. "$PROJECT/scripts/prepare.sh"
need_python dev
need_node
made="$(mktemp -d)"
trap 'rm -rf "$made"' EXIT
"$PYTHON" -m nine_knots.api >"$made/openapi.json"
(cd "$PROJECT/web" && npx openapi-typescript "$made/openapi.json" -o "$made/schema.d.ts" >/dev/null)
"$PYTHON" -m nine_knots.stored_types >"$made/versions.json"
"$PYTHON" -m nine_knots.formats.tints >"$made/tints.css"
"$PYTHON" -c 'from pydantic import TypeAdapter
from nine_knots.core.domain.event_kinds import EVENT_KINDS
kinds = list(EVENT_KINDS.values())
print(TypeAdapter(type(kinds)).dump_json(kinds, indent=1).decode())' >"$made/event-kinds.json"
"$PYTHON" -c 'import json
from nine_knots.core.domain.knots.table import KNOTS
print(json.dumps([{"key": one.key, "place": one.place} for one in KNOTS.values()], indent=1))' \
  >"$made/knots.json"
if [ "${1:-}" = --check ]; then
  cmp -s "$made/schema.d.ts" "$PROJECT/web/generated/schema.d.ts" ||
    fail "web/generated/schema.d.ts does not follow the API any more. Run scripts/api-types.sh."
  for file in versions.json tints.css event-kinds.json knots.json; do
    cmp -s "$made/$file" "$PROJECT/web/generated/$file" ||
      fail "web/generated/$file is not today's. Run scripts/api-types.sh."
  done
else
  cp "$made/schema.d.ts" "$made/versions.json" "$made/tints.css" "$made/event-kinds.json" \
    "$made/knots.json" \
    "$PROJECT/web/generated/"
  "$PYTHON" -c 'import json; from nine_knots.formats.leader_json import schema
print(json.dumps(schema(), indent=1, ensure_ascii=False))' >"$PROJECT/docs/leader.schema.json"
fi
