ALTER TABLE "collections" ADD COLUMN "cues_by" text DEFAULT 'initials' NOT NULL;--> statement-breakpoint
-- What a member liked becomes the rule of their own collection.
UPDATE "collections" SET "cues_by" = "preferences"."content"->>'cuesBy' FROM "preferences" WHERE "collections"."owned_by" = "preferences"."member" AND "preferences"."content" ? 'cuesBy';--> statement-breakpoint
UPDATE "preferences" SET "content" = "content" - 'cuesBy' WHERE "content" ? 'cuesBy';--> statement-breakpoint
UPDATE "collection_revisions" SET "settings" = "collection_revisions"."settings" || jsonb_build_object('cuesBy', "collections"."cues_by") FROM "collections" WHERE "collections"."id" = "collection_revisions"."collection";
