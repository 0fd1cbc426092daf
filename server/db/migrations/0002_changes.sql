DROP INDEX "entries_by_collection";--> statement-breakpoint
ALTER TABLE "collections" ADD COLUMN "changes" integer DEFAULT 0 NOT NULL;--> statement-breakpoint
ALTER TABLE "entries" ADD COLUMN "change" integer DEFAULT 0 NOT NULL;--> statement-breakpoint
CREATE INDEX "entries_by_collection" ON "entries" USING btree ("collection","change");