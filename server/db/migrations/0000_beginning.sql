CREATE TABLE "cases" (
	"id" text PRIMARY KEY NOT NULL,
	"kind" text NOT NULL,
	"title" text NOT NULL,
	"number" text,
	"summary" text NOT NULL,
	"record" jsonb NOT NULL,
	"opened_at" timestamp with time zone NOT NULL
);
--> statement-breakpoint
CREATE TABLE "cases_given" (
	"case" text NOT NULL,
	"member" text NOT NULL,
	CONSTRAINT "cases_given_case_member_pk" PRIMARY KEY("case","member")
);
--> statement-breakpoint
CREATE TABLE "collections" (
	"id" text PRIMARY KEY NOT NULL,
	"name" text NOT NULL,
	"owned_by" text,
	"lead_in" text NOT NULL,
	"cue_rules" jsonb NOT NULL,
	"kinds_of_work" jsonb NOT NULL,
	"language" text NOT NULL,
	"position" integer DEFAULT 0 NOT NULL
);
--> statement-breakpoint
CREATE TABLE "cues" (
	"collection" text NOT NULL,
	"typed" text NOT NULL,
	"entry" text NOT NULL
);
--> statement-breakpoint
CREATE TABLE "drafts" (
	"id" text PRIMARY KEY NOT NULL,
	"case" text NOT NULL,
	"author" text NOT NULL,
	"state" text NOT NULL,
	"version" integer NOT NULL,
	"document" jsonb NOT NULL,
	"excerpt" text NOT NULL,
	"saved_at" timestamp with time zone NOT NULL
);
--> statement-breakpoint
CREATE TABLE "entries" (
	"id" text PRIMARY KEY NOT NULL,
	"collection" text NOT NULL,
	"revision" integer NOT NULL,
	"content" jsonb NOT NULL,
	"saved_at" timestamp with time zone NOT NULL,
	"saved_by" text NOT NULL,
	"reason" text NOT NULL
);
--> statement-breakpoint
CREATE TABLE "grants" (
	"collection" text NOT NULL,
	"member" text NOT NULL,
	"right" text NOT NULL,
	CONSTRAINT "grants_collection_member_pk" PRIMARY KEY("collection","member")
);
--> statement-breakpoint
CREATE TABLE "members" (
	"id" text PRIMARY KEY NOT NULL,
	"name" text NOT NULL,
	"email" text NOT NULL,
	"job" text DEFAULT '' NOT NULL,
	"role" text NOT NULL,
	"password_hash" text,
	"created_at" timestamp with time zone NOT NULL,
	CONSTRAINT "members_email_unique" UNIQUE("email")
);
--> statement-breakpoint
CREATE TABLE "revisions" (
	"entry" text NOT NULL,
	"revision" integer NOT NULL,
	"content" jsonb NOT NULL,
	"saved_at" timestamp with time zone NOT NULL,
	"saved_by" text NOT NULL,
	"reason" text NOT NULL,
	CONSTRAINT "revisions_entry_revision_pk" PRIMARY KEY("entry","revision")
);
--> statement-breakpoint
CREATE TABLE "sessions" (
	"token_hash" text PRIMARY KEY NOT NULL,
	"member" text NOT NULL,
	"created_at" timestamp with time zone NOT NULL,
	"ends_at" timestamp with time zone NOT NULL
);
--> statement-breakpoint
ALTER TABLE "cases_given" ADD CONSTRAINT "cases_given_case_cases_id_fk" FOREIGN KEY ("case") REFERENCES "public"."cases"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "cases_given" ADD CONSTRAINT "cases_given_member_members_id_fk" FOREIGN KEY ("member") REFERENCES "public"."members"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "collections" ADD CONSTRAINT "collections_owned_by_members_id_fk" FOREIGN KEY ("owned_by") REFERENCES "public"."members"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "cues" ADD CONSTRAINT "cues_collection_collections_id_fk" FOREIGN KEY ("collection") REFERENCES "public"."collections"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "cues" ADD CONSTRAINT "cues_entry_entries_id_fk" FOREIGN KEY ("entry") REFERENCES "public"."entries"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "drafts" ADD CONSTRAINT "drafts_case_cases_id_fk" FOREIGN KEY ("case") REFERENCES "public"."cases"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "drafts" ADD CONSTRAINT "drafts_author_members_id_fk" FOREIGN KEY ("author") REFERENCES "public"."members"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "entries" ADD CONSTRAINT "entries_collection_collections_id_fk" FOREIGN KEY ("collection") REFERENCES "public"."collections"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "entries" ADD CONSTRAINT "entries_saved_by_members_id_fk" FOREIGN KEY ("saved_by") REFERENCES "public"."members"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "grants" ADD CONSTRAINT "grants_collection_collections_id_fk" FOREIGN KEY ("collection") REFERENCES "public"."collections"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "grants" ADD CONSTRAINT "grants_member_members_id_fk" FOREIGN KEY ("member") REFERENCES "public"."members"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "revisions" ADD CONSTRAINT "revisions_entry_entries_id_fk" FOREIGN KEY ("entry") REFERENCES "public"."entries"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "revisions" ADD CONSTRAINT "revisions_saved_by_members_id_fk" FOREIGN KEY ("saved_by") REFERENCES "public"."members"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "sessions" ADD CONSTRAINT "sessions_member_members_id_fk" FOREIGN KEY ("member") REFERENCES "public"."members"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
CREATE UNIQUE INDEX "cues_once_in_a_collection" ON "cues" USING btree ("collection","typed");--> statement-breakpoint
CREATE UNIQUE INDEX "drafts_one_each" ON "drafts" USING btree ("case","author");--> statement-breakpoint
CREATE INDEX "entries_by_collection" ON "entries" USING btree ("collection");