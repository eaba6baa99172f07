-- Documents that are no longer the newest are kept packed: as what differs from the document before, or by themselves every so
-- many. Name and count of lineups stand beside them, because a packed document can't be asked.
CREATE TABLE edit_with_packed (
    project_id        TEXT NOT NULL REFERENCES project (id) DEFERRABLE INITIALLY DEFERRED,
    sequence          INTEGER NOT NULL,
    at_utc            TEXT NOT NULL,
    who               TEXT NOT NULL,
    label             TEXT NOT NULL,
    kind              TEXT NOT NULL CHECK (kind IN ('edit', 'undo', 'redo')),
    document_sequence INTEGER NOT NULL,
    undo_to           INTEGER,
    redo_to           INTEGER,
    document          TEXT,
    packed            BLOB,
    packed_on         INTEGER,
    packed_depth      INTEGER NOT NULL DEFAULT 0,
    name              TEXT,
    lineup_count      INTEGER,
    format_version    INTEGER,
    PRIMARY KEY (project_id, sequence),
    CHECK ((kind = 'edit') = (document IS NOT NULL OR packed IS NOT NULL)),
    CHECK (document IS NULL OR packed IS NULL),
    CHECK (packed_on IS NULL OR packed IS NOT NULL),
    CHECK (format_version IS NULL OR kind = 'edit')
) STRICT;

INSERT INTO edit_with_packed (project_id, sequence, at_utc, who, label, kind, document_sequence, undo_to, redo_to, document, name, lineup_count, format_version)
SELECT project_id, sequence, at_utc, who, label, kind, document_sequence, undo_to, redo_to, document, name, lineup_count, format_version FROM edit;

DROP TABLE edit;
ALTER TABLE edit_with_packed RENAME TO edit;
