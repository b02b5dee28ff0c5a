-- What is shown of a match before its tags are read, made from its record: the same document without tags. Deleted with
-- every change of the record and made again while the program has time.
CREATE TABLE match_head (
    n INTEGER PRIMARY KEY AUTOINCREMENT,
    match_id TEXT NOT NULL UNIQUE,
    a TEXT NOT NULL,
    b TEXT NOT NULL,
    tags INTEGER NOT NULL,
    untouched INTEGER NOT NULL,
    document TEXT NOT NULL
);

CREATE INDEX match_head_a ON match_head (a);
CREATE INDEX match_head_b ON match_head (b);

-- Which matches are shown, without reading through their documents.
CREATE INDEX match_shown ON match_record (removed, id);

-- What was counted of an athlete's matches, by what filters ask for; words: what the tags were read with. The library's
-- average is made of it.
CREATE TABLE athlete_count (
    athlete TEXT NOT NULL,
    kind TEXT NOT NULL,
    attire TEXT NOT NULL,
    ruleset TEXT NOT NULL,
    words TEXT NOT NULL,
    counts BLOB NOT NULL,
    PRIMARY KEY (athlete, kind, attire, ruleset)
);

CREATE TRIGGER match_changed AFTER UPDATE OF document, removed ON match_record
BEGIN
    DELETE FROM match_head WHERE match_id = OLD.id;
END;

CREATE TRIGGER match_deleted AFTER DELETE ON match_record
BEGIN
    DELETE FROM match_head WHERE match_id = OLD.id;
END;

CREATE TRIGGER head_deleted AFTER DELETE ON match_head
BEGIN
    DELETE FROM athlete_count WHERE athlete IN (OLD.a, OLD.b);
END;

CREATE TRIGGER head_made AFTER INSERT ON match_head
BEGIN
    DELETE FROM athlete_count WHERE athlete IN (NEW.a, NEW.b);
END;
