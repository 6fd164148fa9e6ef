-- Who asked: what one person sent is shown to no other, not even where both used one key.
ALTER TABLE requests ADD COLUMN actor TEXT NOT NULL DEFAULT '';
