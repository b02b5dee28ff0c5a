CREATE TABLE match_record (
    id TEXT NOT NULL PRIMARY KEY,
    document TEXT NOT NULL,
    edits_applied INTEGER NOT NULL DEFAULT 0,
    removed INTEGER NOT NULL DEFAULT 0
);

CREATE TABLE edit_log (
    match_id TEXT NOT NULL,
    n INTEGER NOT NULL,
    edit TEXT NOT NULL,
    made_at TEXT NOT NULL,
    PRIMARY KEY (match_id, n)
);

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

INSERT INTO match_record (id, document, edits_applied) VALUES ('old', '{"format":"farglass.match/1","id":"old","date":"2029-01-02","lengthMs":300000,"athletes":{"a":{"id":"x","name":"Ex"},"b":{"id":"y","name":"Why"}},"films":[],"tags":[{"t":0,"type":"start"},{"t":0,"type":"position","position":"STD"},{"t":900,"type":"action","by":"a","technique":"double-leg"}]}', 1);
INSERT INTO edit_log VALUES ('old', 1, '{"edit":"add","index":2,"tag":{"t":900,"type":"action","by":"a","technique":"double-leg"}}', '2029-01-02T00:00:00Z');
INSERT INTO plan VALUES ('p', 1);
INSERT INTO plan_version VALUES ('p', 1, '{"format":"farglass.plan/1","id":"p","title":"T","us":"x","them":"y","pinned":[],"tree":[],"remarks":""}', '2029-01-02T00:00:00Z');
INSERT INTO assignment VALUES ('a', 1, '{"format":"farglass.assignment/1","id":"a","us":"x","opponents":["y"],"minutes":5}');
PRAGMA user_version = 1;
