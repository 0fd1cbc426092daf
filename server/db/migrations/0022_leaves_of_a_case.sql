DROP INDEX "drafts_one_each";--> statement-breakpoint
ALTER TABLE "drafts" ADD COLUMN "title" text;--> statement-breakpoint
ALTER TABLE "drafts" ADD COLUMN "begun_at" timestamp with time zone;--> statement-breakpoint
UPDATE "drafts" SET "title" = '', "begun_at" = "saved_at";--> statement-breakpoint
ALTER TABLE "drafts" ALTER COLUMN "title" SET NOT NULL;--> statement-breakpoint
ALTER TABLE "drafts" ALTER COLUMN "begun_at" SET NOT NULL;--> statement-breakpoint
CREATE INDEX "drafts_of_a_case" ON "drafts" USING btree ("case","author");
