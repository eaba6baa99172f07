-- A project is the chain of its edits; head is the edit that is in force.
CREATE TABLE project (
    id         TEXT NOT NULL PRIMARY KEY,
    created_at TEXT NOT NULL,
    head       INTEGER NOT NULL
) STRICT;

-- Each row is one acknowledged change. Undo and redo are rows too: they point at the edit whose document they restore, so
-- the chain only ever grows and its number serves to detect stale writes. undo_to and redo_to are the edits that undo and
-- redo from here would restore.
CREATE TABLE edit (
    project_id        TEXT NOT NULL REFERENCES project (id) DEFERRABLE INITIALLY DEFERRED,
    sequence          INTEGER NOT NULL,
    at_utc            TEXT NOT NULL,
    who               TEXT NOT NULL,
    label             TEXT NOT NULL,
    kind              TEXT NOT NULL CHECK (kind IN ('edit', 'undo', 'redo')),
    document_sequence INTEGER NOT NULL,
    undo_to           INTEGER,
    redo_to           INTEGER,
    document          TEXT CHECK ((kind = 'edit') = (document IS NOT NULL)),
    name              TEXT GENERATED ALWAYS AS (json_extract(document, '$.name')) VIRTUAL,
    lineup_count      INTEGER GENERATED ALWAYS AS (json_array_length(document, '$.lineups')) VIRTUAL,
    PRIMARY KEY (project_id, sequence)
) STRICT;
