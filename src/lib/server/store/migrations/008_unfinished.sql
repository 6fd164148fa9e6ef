-- Files on their way in: what is to be written, and which places are to be judged anew, should the house stop before they are in.
CREATE TABLE unfinished_imports (
  id TEXT PRIMARY KEY,
  closing TEXT NOT NULL,
  since INTEGER NOT NULL
) STRICT;
