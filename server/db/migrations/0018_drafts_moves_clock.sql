CREATE TABLE "draft_states" (
	"id" text PRIMARY KEY NOT NULL,
	"draft" text NOT NULL,
	"at" timestamp with time zone NOT NULL,
	"why" text NOT NULL,
	"document" jsonb NOT NULL,
	"excerpt" text NOT NULL
);
--> statement-breakpoint
CREATE TABLE "entry_moves" (
	"entry" text NOT NULL,
	"revision" integer NOT NULL,
	"from_collection" text NOT NULL
);
--> statement-breakpoint
CREATE TABLE "server_clock" (
	"only" boolean PRIMARY KEY DEFAULT true NOT NULL,
	"seen_at" timestamp with time zone NOT NULL,
	"jumped_at" timestamp with time zone
);
--> statement-breakpoint
ALTER TABLE "trail" ADD COLUMN "by_name" text;--> statement-breakpoint
ALTER TABLE "draft_states" ADD CONSTRAINT "draft_states_draft_drafts_id_fk" FOREIGN KEY ("draft") REFERENCES "public"."drafts"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "entry_moves" ADD CONSTRAINT "entry_moves_entry_entries_id_fk" FOREIGN KEY ("entry") REFERENCES "public"."entries"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "draft_states_by_draft" ON "draft_states" USING btree ("draft","at");--> statement-breakpoint
CREATE INDEX "entry_moves_by_entry" ON "entry_moves" USING btree ("entry");