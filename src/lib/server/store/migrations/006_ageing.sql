-- Finished hangings, to learn from: the run as it was, with its weights.
CREATE TABLE agings (
  seq INTEGER PRIMARY KEY,
  piece TEXT NOT NULL,
  ended INTEGER NOT NULL,
  run TEXT NOT NULL,
  -- The newest entry of its piece: it changes with whatever is amended.
  told INTEGER NOT NULL
) STRICT;
CREATE INDEX agings_by_piece ON agings (piece);
CREATE INDEX agings_by_end ON agings (ended);
