-- Who made an edit; unknown for those made before.
ALTER TABLE edit_log ADD COLUMN made_by TEXT;
