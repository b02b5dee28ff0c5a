-- A mirror of a team's library: which one, by what name the mirror is known there, and how far it was read.
-- No row in a library of one's own.
CREATE TABLE mirror (
    only_one INTEGER NOT NULL PRIMARY KEY CHECK (only_one = 1),
    url TEXT NOT NULL,
    team TEXT,
    id TEXT NOT NULL,
    seen INTEGER NOT NULL DEFAULT 0,
    reached_at TEXT
);

-- How many changes of each thing the mirror knows; agreed: its document after them, kept while changes of it wait.
CREATE TABLE mirror_item (
    kind TEXT NOT NULL,
    item TEXT NOT NULL,
    n INTEGER NOT NULL,
    agreed TEXT,
    PRIMARY KEY (kind, item)
);

-- Confirmed changes that the team's library does not have yet, in order.
CREATE TABLE waiting (
    place INTEGER PRIMARY KEY AUTOINCREMENT,
    id TEXT NOT NULL UNIQUE,
    kind TEXT NOT NULL,
    item TEXT NOT NULL,
    act TEXT NOT NULL,
    body TEXT,
    undoes TEXT,
    made_at TEXT NOT NULL,
    made_by TEXT
);

-- Where two people changed the same: what was wanted here, until somebody decides.
CREATE TABLE clash (
    id INTEGER PRIMARY KEY AUTOINCREMENT,
    kind TEXT NOT NULL,
    item TEXT NOT NULL,
    fields TEXT NOT NULL,
    mine TEXT NOT NULL,
    found_at TEXT NOT NULL
);

-- An edit's identity across mirrors, the one that it takes back, and the mirror it came from; all null in a library of
-- one's own, the last also for edits made here.
ALTER TABLE edit_log ADD COLUMN id TEXT;
ALTER TABLE edit_log ADD COLUMN undoes TEXT;
ALTER TABLE edit_log ADD COLUMN mirror TEXT;
