-- What is proposed about a match by captions, notes and other records, beside its record: one open document a match.
CREATE TABLE draft_list (
    match_id TEXT NOT NULL PRIMARY KEY,
    document TEXT NOT NULL
);
