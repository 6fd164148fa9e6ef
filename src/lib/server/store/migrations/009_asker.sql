-- Who asked: what one person sent is shown to no other, not even where both used one key.
ALTER TABLE requests ADD COLUMN actor TEXT NOT NULL DEFAULT '';
-- With it a signing can vouch for a name and say nothing of it; it goes with the name.
ALTER TABLE people ADD COLUMN salt TEXT;
