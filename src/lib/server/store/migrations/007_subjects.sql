-- What an activity keeps beside fish: each subject as its entries leave it, rebuilt from the record like everything here.
CREATE TABLE subjects (
  id TEXT PRIMARY KEY,
  kind TEXT NOT NULL,
  live INTEGER NOT NULL,
  state TEXT NOT NULL,
  seq INTEGER NOT NULL
) STRICT;
CREATE INDEX subjects_by_kind ON subjects (kind, live);
