CREATE TABLE "proposals" (
	"id" text PRIMARY KEY NOT NULL,
	"entry" text NOT NULL,
	"base" integer NOT NULL,
	"content" jsonb NOT NULL,
	"reason" text NOT NULL,
	"proposed_by" text NOT NULL,
	"proposed_at" timestamp with time zone NOT NULL,
	"state" text NOT NULL,
	"answer" text DEFAULT '' NOT NULL,
	"answered_by" text
);
--> statement-breakpoint
ALTER TABLE "proposals" ADD CONSTRAINT "proposals_entry_entries_id_fk" FOREIGN KEY ("entry") REFERENCES "public"."entries"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "proposals" ADD CONSTRAINT "proposals_proposed_by_members_id_fk" FOREIGN KEY ("proposed_by") REFERENCES "public"."members"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "proposals" ADD CONSTRAINT "proposals_answered_by_members_id_fk" FOREIGN KEY ("answered_by") REFERENCES "public"."members"("id") ON DELETE set null ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "proposals_open_for_an_entry" ON "proposals" USING btree ("state","entry");--> statement-breakpoint
CREATE INDEX "proposals_of_a_member" ON "proposals" USING btree ("proposed_by","proposed_at");