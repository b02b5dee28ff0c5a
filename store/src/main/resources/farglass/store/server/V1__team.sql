-- A team's library. Nobody writes a table: everything comes in by append(), which looks who asks. Nobody reads but what
-- the policies below show them.

-- Who the team is, and the place of the last step of its log. One row; whoever appends holds it until the end, so that
-- places are given in the order in which steps become visible and none is left out.
CREATE TABLE team (
    only_one boolean PRIMARY KEY DEFAULT true CHECK (only_one),
    id uuid NOT NULL DEFAULT gen_random_uuid(),
    last_place bigint NOT NULL DEFAULT 0
);
INSERT INTO team DEFAULT VALUES;

-- Logins of the server and what they may do. An athlete's own is what is his.
CREATE TABLE member (
    login text PRIMARY KEY,
    role text NOT NULL CHECK (role IN ('owner', 'analyst', 'coach', 'athlete')),
    athlete text CHECK ((role = 'athlete') = (athlete IS NOT NULL))
);
INSERT INTO member (login, role) VALUES (session_user, 'owner');

-- Things as they are now. document: as of the step document_n, which may be earlier than n.
-- athletes: whose it is; of a match both who fight in it. first_place: where in the log it came.
CREATE TABLE item (
    kind text NOT NULL CHECK (kind IN ('match', 'draft', 'plan', 'assignment', 'setting')),
    item text NOT NULL,
    n bigint NOT NULL,
    document text NOT NULL,
    document_n bigint NOT NULL,
    removed boolean NOT NULL DEFAULT false,
    athletes text[] NOT NULL DEFAULT '{}',
    private boolean NOT NULL DEFAULT false,
    login text NOT NULL,
    first_place bigint NOT NULL,
    PRIMARY KEY (kind, item)
);
CREATE INDEX item_athletes ON item USING gin (athletes);

-- The log: every step of every thing, in the order in which all mirrors take them in.
CREATE TABLE change (
    place bigint PRIMARY KEY,
    id text NOT NULL UNIQUE,
    kind text NOT NULL,
    item text NOT NULL,
    n bigint NOT NULL,
    act text NOT NULL CHECK (act IN ('new', 'edit', 'removed', 'back', 'set', 'forgotten')),
    body text,
    undoes text,
    made_at text NOT NULL,
    made_by text,
    mirror text NOT NULL,
    login text NOT NULL,
    UNIQUE (kind, item, n)
);

-- Who is at which match just now; nothing of it is kept.
CREATE UNLOGGED TABLE presence (
    mirror text PRIMARY KEY,
    login text NOT NULL,
    name text NOT NULL,
    match text,
    seen_at timestamptz NOT NULL
);

CREATE FUNCTION role_of_caller() RETURNS text
    LANGUAGE sql STABLE SECURITY DEFINER SET search_path = farglass, pg_temp
    AS $$ SELECT role FROM member WHERE login = session_user $$;

CREATE FUNCTION athlete_of_caller() RETURNS text
    LANGUAGE sql STABLE SECURITY DEFINER SET search_path = farglass, pg_temp
    AS $$ SELECT athlete FROM member WHERE login = session_user $$;

-- What is private (training rounds, films of one's own) stays with who brought it, whom it shows, owner and coaches.
-- An athlete sees matches of his own, plans and assignments made for him, and the words and rules of the team.
CREATE FUNCTION may_see(a_kind text, a_item text, whose text[], is_private boolean, brought_by text) RETURNS boolean
    LANGUAGE sql STABLE SECURITY DEFINER SET search_path = farglass, pg_temp
    AS $$
        SELECT CASE role_of_caller()
            WHEN 'owner' THEN true
            WHEN 'coach' THEN true
            WHEN 'analyst' THEN NOT is_private OR brought_by = session_user
            WHEN 'athlete' THEN a_kind = 'setting'
                OR (a_kind IN ('match', 'plan', 'assignment') AND athlete_of_caller() = ANY (whose))
            ELSE false
        END
    $$;

ALTER TABLE team ENABLE ROW LEVEL SECURITY;
ALTER TABLE member ENABLE ROW LEVEL SECURITY;
ALTER TABLE item ENABLE ROW LEVEL SECURITY;
ALTER TABLE change ENABLE ROW LEVEL SECURITY;
ALTER TABLE presence ENABLE ROW LEVEL SECURITY;
CREATE POLICY members ON team FOR SELECT USING (role_of_caller() IS NOT NULL);
CREATE POLICY own ON member FOR SELECT USING (login = session_user OR role_of_caller() = 'owner');
CREATE POLICY seen ON item FOR SELECT USING (may_see(kind, item, athletes, private, login));
CREATE POLICY seen ON change FOR SELECT
    USING (EXISTS (SELECT 1 FROM item i WHERE i.kind = change.kind AND i.item = change.item)
        OR (kind = 'athlete' AND role_of_caller() IS NOT NULL));
CREATE POLICY team ON presence FOR SELECT USING (role_of_caller() IN ('owner', 'analyst', 'coach'));

-- Whether a coach may make this edit of a match: remarks come, go and change, nothing else does.
CREATE FUNCTION only_remarks(edit jsonb) RETURNS boolean
    LANGUAGE sql IMMUTABLE SET search_path = farglass, pg_temp
    AS $$
        SELECT CASE edit ->> 'edit'
            WHEN 'add' THEN edit #>> '{tag,type}' = 'remark'
            WHEN 'remove' THEN edit #>> '{tag,type}' = 'remark'
            WHEN 'replace' THEN edit #>> '{before,type}' = 'remark' AND edit #>> '{after,type}' = 'remark'
            WHEN 'batch' THEN NOT EXISTS (
                SELECT 1 FROM jsonb_array_elements(edit -> 'edits') part WHERE NOT coalesce(only_remarks(part), false))
            ELSE false
        END
    $$;

CREATE FUNCTION may_change(a_kind text, an_act text, a_body text) RETURNS boolean
    LANGUAGE sql STABLE SECURITY DEFINER SET search_path = farglass, pg_temp
    AS $$
        SELECT CASE role_of_caller()
            WHEN 'owner' THEN true
            WHEN 'analyst' THEN true
            WHEN 'coach' THEN a_kind IN ('plan', 'assignment')
                OR (a_kind = 'match' AND an_act = 'edit' AND only_remarks(a_body::jsonb))
            ELSE false
        END
    $$;

-- Appends steps in order. Each names the n that its thing then has; where somebody else was first, that step and all
-- behind it are left, and its place is null. A step that is there already only gets its place again.
CREATE FUNCTION append(from_mirror text, steps jsonb) RETURNS TABLE (step text, at_place bigint)
    LANGUAGE plpgsql SECURITY DEFINER SET search_path = farglass, pg_temp
    AS $$
    DECLARE
        s jsonb;
        l bigint;
        there item%ROWTYPE;
        known boolean;
        may_tell boolean := role_of_caller() IN ('owner', 'analyst');
    BEGIN
        IF role_of_caller() IS NULL THEN
            RAISE EXCEPTION 'no member of this team' USING ERRCODE = 'insufficient_privilege';
        END IF;
        SELECT last_place INTO STRICT l FROM team FOR UPDATE;
        FOR s IN SELECT jsonb_array_elements(steps) LOOP
            step := s ->> 'id';
            SELECT c.place INTO at_place FROM change c WHERE c.id = step AND c.login = session_user;
            IF FOUND THEN
                RETURN NEXT;
                CONTINUE;
            END IF;
            SELECT * INTO there FROM item i WHERE i.kind = s ->> 'kind' AND i.item = s ->> 'item';
            known := FOUND;
            IF known AND NOT may_see(there.kind, there.item, there.athletes, there.private, there.login) THEN
                RAISE EXCEPTION 'this is not yours to change' USING ERRCODE = 'insufficient_privilege';
            END IF;
            IF NOT may_change(s ->> 'kind', s ->> 'act', s ->> 'body') THEN
                RAISE EXCEPTION 'your part in the team does not allow this change' USING ERRCODE = 'insufficient_privilege';
            END IF;
            at_place := NULL;
            IF (s ->> 'n')::bigint <> coalesce(there.n, 0) + 1 OR (s ->> 'act' = 'new' AND known)
                    -- nothing comes into being by being edited or taken out of sight
                    OR (NOT known AND s ->> 'act' NOT IN ('new', 'set')) THEN
                RETURN NEXT;
                EXIT;
            END IF;
            l := l + 1;
            at_place := l;
            INSERT INTO change (place, id, kind, item, n, act, body, undoes, made_at, made_by, mirror, login)
                VALUES (l, step, s ->> 'kind', s ->> 'item', (s ->> 'n')::bigint, s ->> 'act', s ->> 'body',
                    s ->> 'undoes', s ->> 'at', s ->> 'by', from_mirror, session_user);
            IF NOT known THEN
                INSERT INTO item (kind, item, n, document, document_n, login, first_place)
                    VALUES (s ->> 'kind', s ->> 'item', (s ->> 'n')::bigint, s ->> 'body', (s ->> 'n')::bigint,
                        session_user, l);
            END IF;
            -- what a coach says that a match is now is not taken for it: an analyst's program will tell
            UPDATE item i SET
                n = (s ->> 'n')::bigint,
                removed = CASE s ->> 'act' WHEN 'removed' THEN true WHEN 'back' THEN false ELSE i.removed END,
                document = CASE WHEN s ->> 'act' IN ('new', 'set') THEN s ->> 'body'
                    WHEN may_tell THEN coalesce(s ->> 'document', i.document) ELSE i.document END,
                document_n = CASE WHEN s ->> 'act' IN ('new', 'set') OR (may_tell AND s ? 'document')
                    THEN (s ->> 'n')::bigint ELSE i.document_n END,
                athletes = CASE WHEN s ? 'athletes' AND (may_tell OR i.kind <> 'match')
                    THEN ARRAY(SELECT jsonb_array_elements_text(s -> 'athletes')) ELSE i.athletes END,
                private = CASE WHEN s ? 'private' AND may_tell THEN (s ->> 'private')::boolean ELSE i.private END
                WHERE i.kind = s ->> 'kind' AND i.item = s ->> 'item';
            RETURN NEXT;
        END LOOP;
        UPDATE team SET last_place = l;
        PERFORM pg_notify('farglass', l::text);
    END
    $$;

-- Deletes an athlete: what is his (gone) with its history, and the history of what named him (kept), which stands without
-- him from now on. Other mirrors hear of it by a digest of his id. False when something of what is kept stands otherwise
-- than the caller knows.
CREATE FUNCTION forget(from_mirror text, step text, mark text, at text, gone jsonb, kept jsonb) RETURNS boolean
    LANGUAGE plpgsql SECURITY DEFINER SET search_path = farglass, pg_temp
    AS $$
    DECLARE
        l bigint;
        t jsonb;
    BEGIN
        IF role_of_caller() IS DISTINCT FROM 'owner' THEN
            RAISE EXCEPTION 'only an owner of the team deletes an athlete for good' USING ERRCODE = 'insufficient_privilege';
        END IF;
        SELECT last_place INTO STRICT l FROM team FOR UPDATE;
        IF EXISTS (SELECT 1 FROM change c WHERE c.id = step) THEN
            RETURN true;
        END IF;
        FOR t IN SELECT jsonb_array_elements(kept) LOOP
            IF (SELECT i.n FROM item i WHERE i.kind = t ->> 'kind' AND i.item = t ->> 'item')
                    IS DISTINCT FROM (t ->> 'n')::bigint THEN
                RETURN false;
            END IF;
        END LOOP;
        FOR t IN SELECT jsonb_array_elements(gone || kept) LOOP
            DELETE FROM change c WHERE c.kind = t ->> 'kind' AND c.item = t ->> 'item';
        END LOOP;
        FOR t IN SELECT jsonb_array_elements(gone) LOOP
            DELETE FROM item i WHERE i.kind = t ->> 'kind' AND i.item = t ->> 'item';
        END LOOP;
        l := l + 1;
        INSERT INTO change (place, id, kind, item, n, act, made_at, mirror, login)
            SELECT l, step, 'athlete', mark, coalesce(max(c.n), 0) + 1, 'forgotten', at, from_mirror, session_user
                FROM change c WHERE c.kind = 'athlete' AND c.item = mark;
        FOR t IN SELECT jsonb_array_elements(kept) LOOP
            l := l + 1;
            UPDATE item i SET n = i.n + 1, document = t ->> 'document', document_n = i.n + 1
                WHERE i.kind = t ->> 'kind' AND i.item = t ->> 'item';
            INSERT INTO change (place, id, kind, item, n, act, body, made_at, mirror, login)
                VALUES (l, step || '-' || l, t ->> 'kind', t ->> 'item', (t ->> 'n')::bigint + 1, 'set', t ->> 'document', at,
                    from_mirror, session_user);
        END LOOP;
        UPDATE team SET last_place = l;
        PERFORM pg_notify('farglass', l::text);
        RETURN true;
    END
    $$;

-- Who is at which match; null for none.
CREATE FUNCTION present(from_mirror text, a_name text, a_match text) RETURNS void
    LANGUAGE plpgsql SECURITY DEFINER SET search_path = farglass, pg_temp
    AS $$
    BEGIN
        IF role_of_caller() IS NULL THEN
            RAISE EXCEPTION 'no member of this team' USING ERRCODE = 'insufficient_privilege';
        END IF;
        INSERT INTO presence (mirror, login, name, match, seen_at)
            VALUES (from_mirror, session_user, a_name, a_match, now())
            ON CONFLICT (mirror) DO UPDATE SET name = excluded.name, match = excluded.match, seen_at = now()
                WHERE presence.login = session_user;
        DELETE FROM presence p WHERE p.seen_at < now() - interval '1 day';
        PERFORM pg_notify('farglass', 'presence');
    END
    $$;

REVOKE ALL ON FUNCTION append(text, jsonb), present(text, text, text),
    forget(text, text, text, text, jsonb, jsonb) FROM PUBLIC;
