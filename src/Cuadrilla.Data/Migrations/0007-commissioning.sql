-- What was found on site: entries are only ever added; a correction is a later entry that names the one it corrects.
CREATE TABLE site_entry (
    project_id TEXT    NOT NULL REFERENCES project (id),
    number     INTEGER NOT NULL CHECK (number > 0),
    at_utc     TEXT    NOT NULL,
    who        TEXT    NOT NULL CHECK (length(who) BETWEEN 1 AND 60),
    point_id   TEXT    NOT NULL,
    step_id    TEXT    NOT NULL,
    verdict    TEXT    NOT NULL,
    result     TEXT    NOT NULL,
    reading    TEXT    NOT NULL CHECK (json_valid(reading)),
    basis      TEXT    NOT NULL CHECK (json_valid(basis)),
    note       TEXT    NOT NULL,
    instrument TEXT    NOT NULL,
    calibrated TEXT,
    simulated  INTEGER NOT NULL CHECK (simulated IN (0, 1)),
    edit       INTEGER NOT NULL,
    corrects   INTEGER,
    PRIMARY KEY (project_id, number),
    FOREIGN KEY (project_id, corrects) REFERENCES site_entry (project_id, number)
) STRICT, WITHOUT ROWID;

CREATE INDEX site_entry_by_point ON site_entry (project_id, point_id, number);
CREATE INDEX site_entry_by_step ON site_entry (project_id, step_id, number);
CREATE INDEX site_entry_by_verdict ON site_entry (project_id, verdict, number);

CREATE TRIGGER site_entry_stays BEFORE UPDATE ON site_entry
BEGIN
    SELECT RAISE(ABORT, 'an entry of the log is never changed');
END;

-- Only with its whole project, from the bin.
CREATE TRIGGER site_entry_is_kept BEFORE DELETE ON site_entry
WHEN EXISTS (SELECT 1 FROM project WHERE id = OLD.project_id AND state <> 'binned')
BEGIN
    SELECT RAISE(ABORT, 'an entry of the log is never removed');
END;

-- Parameter sheets as they were printed or exported: what changed since is found by the edit they were made on.
CREATE TABLE parameter_issue (
    project_id TEXT    NOT NULL REFERENCES project (id),
    point_id   TEXT    NOT NULL,
    edit       INTEGER NOT NULL,
    at_utc     TEXT    NOT NULL,
    who        TEXT    NOT NULL,
    PRIMARY KEY (project_id, point_id, edit)
) STRICT, WITHOUT ROWID;

-- Neutral parameter to a product's own number, for every project of this installation.
CREATE TABLE parameter_number (
    product    TEXT NOT NULL,
    parameter  TEXT NOT NULL,
    own_number TEXT NOT NULL CHECK (length(own_number) BETWEEN 1 AND 40),
    own_unit   TEXT NOT NULL CHECK (length(own_unit) <= 20),
    factor     REAL NOT NULL CHECK (factor <> 0),
    at_utc     TEXT NOT NULL,
    who        TEXT NOT NULL,
    PRIMARY KEY (product, parameter)
) STRICT, WITHOUT ROWID;
