-- When the last stay of a piece, or of what it came from, in a place ended, ms; null while it lasts. A new reading says nothing of
-- what had left long before.
ALTER TABLE piece_places ADD COLUMN until INTEGER;
-- The newest entry of a subject, without a look at all of them.
CREATE INDEX events_by_subject_seq ON events (subject, seq);
