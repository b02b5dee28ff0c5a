-- The library's average under no filter, a column a question, so that a profile reads what it asks for and not the counts
-- of everybody. born: which one it is; version: rises whenever it follows an athlete; complete: 0 while it is being made.
CREATE TABLE average (
    one INTEGER PRIMARY KEY CHECK (one = 1),
    born TEXT NOT NULL,
    words TEXT NOT NULL,
    complete INTEGER NOT NULL,
    version INTEGER NOT NULL
);

-- What of an athlete is in the columns, which may be behind his matches; empty where none of them belongs to it.
CREATE TABLE average_of (
    athlete TEXT PRIMARY KEY,
    stale INTEGER NOT NULL,
    version INTEGER NOT NULL,
    counts BLOB NOT NULL
);

CREATE INDEX average_stale ON average_of (athlete) WHERE stale = 1;
CREATE INDEX average_version ON average_of (version);

CREATE TABLE average_column (
    name TEXT PRIMARY KEY,
    document BLOB NOT NULL
);

CREATE TRIGGER counts_deleted AFTER DELETE ON athlete_count
BEGIN
    UPDATE average_of SET stale = 1 WHERE athlete = OLD.athlete AND stale = 0;
END;

-- Records are deleted only when somebody is forgotten, who must be in nothing that is kept.
CREATE TRIGGER match_forgotten AFTER DELETE ON match_record
BEGIN
    DELETE FROM average;
    DELETE FROM average_of;
    DELETE FROM average_column;
END;
