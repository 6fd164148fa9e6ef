-- Papers as they were given, by the hash of their bytes. What an entry says of a file is in the chain; these are its bytes.
CREATE TABLE files (
  hash TEXT PRIMARY KEY CHECK (length(hash) = 64),
  type TEXT NOT NULL,
  bytes INTEGER NOT NULL CHECK (bytes > 0),
  content BLOB NOT NULL,
  kept INTEGER NOT NULL
) STRICT;

-- Which shape the projections were written in: another one is rebuilt from the record at the next start.
CREATE TABLE projection_shape (
  one INTEGER PRIMARY KEY CHECK (one = 1),
  shape INTEGER NOT NULL
) STRICT;
INSERT INTO projection_shape (one, shape) VALUES (1, 0);

-- The freshness clock of a piece as stretches of one rate, and its warm hours: what is used and left is read off it.
ALTER TABLE pieces ADD COLUMN clock TEXT NOT NULL DEFAULT 'null';
