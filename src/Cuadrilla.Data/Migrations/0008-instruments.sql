-- Runs recorded from an instrument: points are added while it lasts; what is there stays, whatever happens to instrument or server.
CREATE TABLE site_run (
    project_id TEXT    NOT NULL REFERENCES project (id),
    number     INTEGER NOT NULL CHECK (number > 0),
    point_id   TEXT    NOT NULL,
    tag        TEXT    NOT NULL,
    step_id    TEXT    NOT NULL,
    reading    TEXT    NOT NULL,
    who        TEXT    NOT NULL CHECK (length(who) BETWEEN 1 AND 60),
    started_utc TEXT   NOT NULL,
    instrument TEXT    NOT NULL,
    simulated  INTEGER NOT NULL CHECK (simulated IN (0, 1)),
    ended      TEXT    NOT NULL,
    PRIMARY KEY (project_id, number)
) STRICT, WITHOUT ROWID;

CREATE TABLE site_run_point (
    project_id TEXT    NOT NULL,
    number     INTEGER NOT NULL,
    time_s     REAL    NOT NULL,
    value      REAL    NOT NULL,
    PRIMARY KEY (project_id, number, time_s),
    FOREIGN KEY (project_id, number) REFERENCES site_run (project_id, number)
) STRICT, WITHOUT ROWID;

-- A plant that an exercise happens in: what is hidden there is known by the exercise alone.
CREATE TABLE training (
    project_id  TEXT NOT NULL PRIMARY KEY REFERENCES project (id),
    exercise    TEXT NOT NULL,
    who         TEXT NOT NULL CHECK (length(who) BETWEEN 1 AND 60),
    started_utc TEXT NOT NULL,
    decision    TEXT,
    points      INTEGER,
    decided_utc TEXT
) STRICT, WITHOUT ROWID;
