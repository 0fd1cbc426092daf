ALTER TABLE "entry_words" ADD COLUMN "collection" text;--> statement-breakpoint
UPDATE "entry_words" SET "collection" = "entries"."collection" FROM "entries" WHERE "entries"."id" = "entry_words"."entry";--> statement-breakpoint
ALTER TABLE "entry_words" ALTER COLUMN "collection" SET NOT NULL;
