-- The version that a document was written in; null for those stored before this column was.
ALTER TABLE edit ADD COLUMN format_version INTEGER CHECK (format_version IS NULL OR document IS NOT NULL);
