-- Files written outside the library, so that forgetting an athlete can reach them. athletes: ids, one a line; empty for everybody's.
CREATE TABLE exported (
    path TEXT NOT NULL PRIMARY KEY,
    made_at TEXT NOT NULL,
    athletes TEXT NOT NULL,
    bytes BIGINT NOT NULL,
    checksum TEXT NOT NULL
);
