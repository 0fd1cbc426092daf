ALTER TABLE "drafts" ADD COLUMN "words" text;--> statement-breakpoint
UPDATE "drafts" SET "words" = coalesce((SELECT string_agg(piece #>> '{}', ' ') FROM jsonb_path_query("document", 'strict $.content[*].**.text', '{}', true) AS piece WHERE jsonb_typeof(piece) = 'string'), '');--> statement-breakpoint
ALTER TABLE "drafts" ALTER COLUMN "words" SET NOT NULL;
