ALTER TABLE "entries" ADD COLUMN "merged" jsonb;--> statement-breakpoint
ALTER TABLE "notes" ADD COLUMN "merged_from" text;