-- A plant is open, closed against changes, or in the bin; what it is, in a sentence.
ALTER TABLE project ADD COLUMN description TEXT NOT NULL DEFAULT '' CHECK (length(description) <= 500);
ALTER TABLE project ADD COLUMN state TEXT NOT NULL DEFAULT 'open' CHECK (state IN ('open', 'archived', 'binned'));
ALTER TABLE project ADD COLUMN state_utc TEXT;
ALTER TABLE project ADD COLUMN state_who TEXT;
