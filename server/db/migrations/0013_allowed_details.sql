CREATE TABLE "allowed_details" (
	"entry" text NOT NULL,
	"words" text NOT NULL,
	"why" text NOT NULL,
	"by" text NOT NULL,
	"at" timestamp with time zone NOT NULL,
	CONSTRAINT "allowed_details_entry_words_pk" PRIMARY KEY("entry","words")
);
--> statement-breakpoint
ALTER TABLE "allowed_details" ADD CONSTRAINT "allowed_details_entry_entries_id_fk" FOREIGN KEY ("entry") REFERENCES "public"."entries"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "allowed_details" ADD CONSTRAINT "allowed_details_by_members_id_fk" FOREIGN KEY ("by") REFERENCES "public"."members"("id") ON DELETE no action ON UPDATE no action;