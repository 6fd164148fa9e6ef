-- Dense readings of sensors, append-only: what was added to a sensor's business day, packed, with its extremes. The chain names
-- each by its hash. recorded: when they came; where they came one by one, when the first of them did.
CREATE TABLE reading_chunks (
  id INTEGER PRIMARY KEY,
  sensor TEXT NOT NULL,
  day TEXT NOT NULL,
  packed BLOB NOT NULL,
  count INTEGER NOT NULL,
  from_at INTEGER NOT NULL,
  to_at INTEGER NOT NULL,
  min_celsius REAL NOT NULL,
  max_celsius REAL NOT NULL,
  hash TEXT NOT NULL,
  recorded INTEGER NOT NULL
) STRICT;
CREATE INDEX reading_chunks_by_time ON reading_chunks (sensor, from_at);
CREATE INDEX reading_chunks_by_day ON reading_chunks (sensor, day);
-- A kept day of the first version names its span loosely: a day to either side of its date.
INSERT INTO reading_chunks (sensor, day, packed, count, from_at, to_at, min_celsius, max_celsius, hash, recorded)
  SELECT sensor, day, packed, count, (CAST(strftime('%s', day) AS INTEGER) - 86400) * 1000,
    (CAST(strftime('%s', day) AS INTEGER) + 259200) * 1000, min_celsius, max_celsius, hash, 0 FROM reading_days;
DROP TABLE reading_days;

-- Readings that loggers sent and that are not yet sealed into a chunk: at most a business day of them.
CREATE TABLE reading_tail (
  sensor TEXT NOT NULL,
  at INTEGER NOT NULL,
  celsius REAL NOT NULL,
  fahrenheit INTEGER NOT NULL,
  received INTEGER NOT NULL,
  origin TEXT NOT NULL,
  PRIMARY KEY (sensor, at)
) STRICT, WITHOUT ROWID;

-- Places a piece or its ancestors lay in, so that a new reading finds what it speaks of.
CREATE TABLE piece_places (
  place TEXT NOT NULL,
  piece TEXT NOT NULL,
  PRIMARY KEY (place, piece)
) STRICT, WITHOUT ROWID;
CREATE INDEX piece_places_by_piece ON piece_places (piece);

-- What came and was not believed, counted until the ledger is told of it (at once the first time, then by the hour).
CREATE TABLE quarantine_tail (
  sensor TEXT NOT NULL,
  cause TEXT NOT NULL,
  place TEXT NOT NULL,
  origin TEXT NOT NULL,
  count INTEGER NOT NULL,
  examples TEXT NOT NULL,
  told INTEGER NOT NULL,
  PRIMARY KEY (sensor, cause)
) STRICT, WITHOUT ROWID;
