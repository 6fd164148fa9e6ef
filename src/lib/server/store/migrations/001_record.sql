-- The record: append-only, chained. Everything below it can be rebuilt from it, but for people's names and the keys of requests.
CREATE TABLE events (
  seq INTEGER PRIMARY KEY,
  happened INTEGER NOT NULL,
  recorded INTEGER NOT NULL,
  actor TEXT NOT NULL,
  kind TEXT NOT NULL,
  subject TEXT NOT NULL,
  version INTEGER NOT NULL,
  body TEXT NOT NULL,
  prev TEXT NOT NULL,
  hash TEXT NOT NULL
) STRICT;
CREATE INDEX events_by_subject ON events (subject, happened, seq);
CREATE INDEX events_by_kind ON events (kind, seq);
CREATE INDEX events_by_happened ON events (happened, seq);
CREATE TRIGGER events_are_never_changed BEFORE UPDATE ON events BEGIN
  SELECT RAISE(ABORT, 'the ledger is append-only');
END;
CREATE TRIGGER events_are_never_removed BEFORE DELETE ON events BEGIN
  SELECT RAISE(ABORT, 'the ledger is append-only');
END;

-- Names stand outside the chain, so that a person can be forgotten without breaking it.
CREATE TABLE people (
  id TEXT PRIMARY KEY,
  name TEXT,
  joined INTEGER NOT NULL,
  forgotten INTEGER
) STRICT;

-- What was asked under which key, so that a request sent twice happens once.
CREATE TABLE requests (
  key TEXT PRIMARY KEY,
  operation TEXT NOT NULL,
  fingerprint TEXT NOT NULL,
  input TEXT,
  result TEXT NOT NULL,
  at INTEGER NOT NULL
) STRICT;

-- Projections: change-points, never "open now".
CREATE TABLE lots (
  id TEXT PRIMARY KEY,
  state TEXT NOT NULL,
  seq INTEGER NOT NULL
) STRICT;
CREATE TABLE pieces (
  id TEXT PRIMARY KEY,
  lot TEXT NOT NULL REFERENCES lots (id) DEFERRABLE INITIALLY DEFERRED,
  parent TEXT,
  live INTEGER NOT NULL,
  state TEXT NOT NULL,
  windows TEXT NOT NULL,
  missing TEXT NOT NULL,
  seq INTEGER NOT NULL
) STRICT;
CREATE INDEX pieces_by_lot ON pieces (lot);
CREATE INDEX pieces_by_parent ON pieces (parent);
CREATE INDEX pieces_live ON pieces (live) WHERE live = 1;

-- Dense readings of sensors: packed by sensor and day; the chain holds the hash of each day's bytes.
CREATE TABLE reading_days (
  sensor TEXT NOT NULL,
  day TEXT NOT NULL,
  packed BLOB NOT NULL,
  count INTEGER NOT NULL,
  min_celsius REAL NOT NULL,
  max_celsius REAL NOT NULL,
  hash TEXT NOT NULL,
  PRIMARY KEY (sensor, day)
) STRICT;
