CREATE TABLE "collection_revisions" (
	"collection" text NOT NULL,
	"version" integer NOT NULL,
	"settings" jsonb NOT NULL,
	"saved_at" timestamp with time zone NOT NULL,
	"saved_by" text NOT NULL,
	"reason" text NOT NULL,
	CONSTRAINT "collection_revisions_collection_version_pk" PRIMARY KEY("collection","version")
);
--> statement-breakpoint
CREATE TABLE "deletions" (
	"id" text PRIMARY KEY NOT NULL,
	"what" text NOT NULL,
	"title" text NOT NULL,
	"by" text NOT NULL,
	"at" timestamp with time zone NOT NULL
);
--> statement-breakpoint
CREATE TABLE "departures" (
	"collection" text NOT NULL,
	"entry" text NOT NULL,
	"change" integer NOT NULL,
	CONSTRAINT "departures_collection_entry_pk" PRIMARY KEY("collection","entry")
);
--> statement-breakpoint
CREATE TABLE "note_answers" (
	"id" bigserial PRIMARY KEY NOT NULL,
	"note" text NOT NULL,
	"text" text NOT NULL,
	"by" text NOT NULL,
	"at" timestamp with time zone NOT NULL
);
--> statement-breakpoint
CREATE TABLE "notes" (
	"id" text PRIMARY KEY NOT NULL,
	"entry" text NOT NULL,
	"text" text NOT NULL,
	"by" text NOT NULL,
	"at" timestamp with time zone NOT NULL,
	"closed" boolean DEFAULT false NOT NULL
);
--> statement-breakpoint
CREATE TABLE "team_settings" (
	"id" text PRIMARY KEY NOT NULL,
	"content" jsonb NOT NULL
);
--> statement-breakpoint
DROP INDEX "drafts_one_each";--> statement-breakpoint
ALTER TABLE "collections" ADD COLUMN "deletion" text;--> statement-breakpoint
ALTER TABLE "drafts" ADD COLUMN "deletion" text;--> statement-breakpoint
ALTER TABLE "entries" ADD COLUMN "deletion" text;--> statement-breakpoint
ALTER TABLE "entries" ADD COLUMN "varies" text;--> statement-breakpoint
ALTER TABLE "entries" ADD COLUMN "varies_revision" integer;--> statement-breakpoint
ALTER TABLE "collection_revisions" ADD CONSTRAINT "collection_revisions_collection_collections_id_fk" FOREIGN KEY ("collection") REFERENCES "public"."collections"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "collection_revisions" ADD CONSTRAINT "collection_revisions_saved_by_members_id_fk" FOREIGN KEY ("saved_by") REFERENCES "public"."members"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "deletions" ADD CONSTRAINT "deletions_by_members_id_fk" FOREIGN KEY ("by") REFERENCES "public"."members"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "departures" ADD CONSTRAINT "departures_collection_collections_id_fk" FOREIGN KEY ("collection") REFERENCES "public"."collections"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "note_answers" ADD CONSTRAINT "note_answers_note_notes_id_fk" FOREIGN KEY ("note") REFERENCES "public"."notes"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "note_answers" ADD CONSTRAINT "note_answers_by_members_id_fk" FOREIGN KEY ("by") REFERENCES "public"."members"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "notes" ADD CONSTRAINT "notes_entry_entries_id_fk" FOREIGN KEY ("entry") REFERENCES "public"."entries"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "notes" ADD CONSTRAINT "notes_by_members_id_fk" FOREIGN KEY ("by") REFERENCES "public"."members"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "answers_to_a_note" ON "note_answers" USING btree ("note");--> statement-breakpoint
CREATE INDEX "notes_of_an_entry" ON "notes" USING btree ("entry");--> statement-breakpoint
CREATE INDEX "notes_of_a_member" ON "notes" USING btree ("by");--> statement-breakpoint
ALTER TABLE "collections" ADD CONSTRAINT "collections_deletion_deletions_id_fk" FOREIGN KEY ("deletion") REFERENCES "public"."deletions"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "drafts" ADD CONSTRAINT "drafts_deletion_deletions_id_fk" FOREIGN KEY ("deletion") REFERENCES "public"."deletions"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "entries" ADD CONSTRAINT "entries_deletion_deletions_id_fk" FOREIGN KEY ("deletion") REFERENCES "public"."deletions"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "entries" ADD CONSTRAINT "entries_varies_entries_id_fk" FOREIGN KEY ("varies") REFERENCES "public"."entries"("id") ON DELETE set null ON UPDATE no action;--> statement-breakpoint
CREATE UNIQUE INDEX "entries_vary_once" ON "entries" USING btree ("collection","varies") WHERE "entries"."deletion" is null;--> statement-breakpoint
CREATE INDEX "entries_by_deletion" ON "entries" USING btree ("deletion");--> statement-breakpoint
CREATE UNIQUE INDEX "drafts_one_each" ON "drafts" USING btree ("case","author") WHERE "drafts"."deletion" is null;