-- Templates of drive points, for every project of this installation. A template is kept as a project document with one drive
-- point in it, so that it is read in later versions as projects are.
CREATE TABLE drive_point_template (
    id             TEXT NOT NULL PRIMARY KEY,
    name           TEXT NOT NULL UNIQUE COLLATE NOCASE CHECK (length(name) BETWEEN 1 AND 80),
    at_utc         TEXT NOT NULL,
    who            TEXT NOT NULL,
    document       TEXT NOT NULL,
    format_version INTEGER NOT NULL
) STRICT;
