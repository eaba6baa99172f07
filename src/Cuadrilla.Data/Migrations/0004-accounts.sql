-- Accounts of those who work on a served installation. Without any, the program is one person's on one machine.
CREATE TABLE account (
    id                TEXT NOT NULL PRIMARY KEY,
    name              TEXT NOT NULL CHECK (length(name) BETWEEN 1 AND 60),
    normalized_name   TEXT NOT NULL UNIQUE,
    role              TEXT NOT NULL CHECK (role IN ('reader', 'engineer', 'reviewer', 'administrator')),
    password_hash     TEXT NOT NULL,
    failed_count      INTEGER NOT NULL DEFAULT 0,
    locked_until_utc  TEXT,
    at_utc            TEXT NOT NULL
) STRICT;

-- What a browser holds is a random key; only its hash is kept, so that who reads the file signs in as nobody.
CREATE TABLE session (
    id         TEXT NOT NULL PRIMARY KEY,
    key_hash   TEXT NOT NULL UNIQUE,
    account_id TEXT NOT NULL REFERENCES account (id) ON DELETE CASCADE,
    began_utc  TEXT NOT NULL,
    seen_utc   TEXT NOT NULL,
    device     TEXT NOT NULL
) STRICT;
