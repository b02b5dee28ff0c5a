-- One row per match: the open document itself, and how far along its edit log it stands.
CREATE TABLE match_record (
    id TEXT NOT NULL PRIMARY KEY,
    document TEXT NOT NULL,
    edits_applied INTEGER NOT NULL DEFAULT 0,
    removed INTEGER NOT NULL DEFAULT 0
);

-- Every confirmed edit, in order. Those past edits_applied have been undone and can be redone.
CREATE TABLE edit_log (
    match_id TEXT NOT NULL,
    n INTEGER NOT NULL,
    edit TEXT NOT NULL,
    made_at TEXT NOT NULL,
    PRIMARY KEY (match_id, n)
);

-- Every version of a plan; current_version says which one stands.
CREATE TABLE plan (
    id TEXT NOT NULL PRIMARY KEY,
    current_version INTEGER NOT NULL
);

CREATE TABLE plan_version (
    plan_id TEXT NOT NULL,
    n INTEGER NOT NULL,
    document TEXT NOT NULL,
    made_at TEXT NOT NULL,
    PRIMARY KEY (plan_id, n)
);

CREATE TABLE assignment (
    id TEXT NOT NULL PRIMARY KEY,
    place INTEGER NOT NULL,
    document TEXT NOT NULL
);

CREATE TABLE setting (
    name TEXT NOT NULL PRIMARY KEY,
    text TEXT NOT NULL
);
