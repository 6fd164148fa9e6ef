-- What finished cures came to, to learn from: the run as it was, and what was weighed and measured at its end.
CREATE TABLE cures (
  seq INTEGER PRIMARY KEY,
  piece TEXT NOT NULL,
  species TEXT NOT NULL,
  started INTEGER NOT NULL,
  ended INTEGER NOT NULL,
  run TEXT NOT NULL,
  -- The newest entry of its piece: it changes with whatever is amended.
  told INTEGER NOT NULL
) STRICT;
CREATE INDEX cures_by_piece ON cures (piece);
CREATE INDEX cures_by_end ON cures (ended);

-- How fast acid really went, from the last piece cut open of each run.
CREATE TABLE acid_paces (
  seq INTEGER PRIMARY KEY,
  piece TEXT NOT NULL,
  species TEXT NOT NULL,
  at INTEGER NOT NULL,
  pace REAL NOT NULL
) STRICT;
CREATE INDEX acid_paces_by_piece ON acid_paces (piece);
CREATE INDEX acid_paces_by_species ON acid_paces (species, at);
