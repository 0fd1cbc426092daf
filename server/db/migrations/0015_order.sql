CREATE TABLE "house_words" (
	"id" text PRIMARY KEY NOT NULL,
	"language" text NOT NULL,
	"use" text NOT NULL,
	"avoid" jsonb NOT NULL,
	"why" text NOT NULL,
	"together" boolean NOT NULL,
	"by" text NOT NULL,
	"at" timestamp with time zone NOT NULL
);
--> statement-breakpoint
CREATE TABLE "practised" (
	"member" text NOT NULL,
	"entry" text NOT NULL,
	"box" integer NOT NULL,
	"due" date NOT NULL,
	CONSTRAINT "practised_member_entry_pk" PRIMARY KEY("member","entry")
);
--> statement-breakpoint
CREATE TABLE "reviews" (
	"entry" text PRIMARY KEY NOT NULL,
	"due" date NOT NULL,
	"keeper" text NOT NULL,
	"looked_at" timestamp with time zone
);
--> statement-breakpoint
ALTER TABLE "house_words" ADD CONSTRAINT "house_words_by_members_id_fk" FOREIGN KEY ("by") REFERENCES "public"."members"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "practised" ADD CONSTRAINT "practised_member_members_id_fk" FOREIGN KEY ("member") REFERENCES "public"."members"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "practised" ADD CONSTRAINT "practised_entry_entries_id_fk" FOREIGN KEY ("entry") REFERENCES "public"."entries"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "reviews" ADD CONSTRAINT "reviews_entry_entries_id_fk" FOREIGN KEY ("entry") REFERENCES "public"."entries"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "reviews" ADD CONSTRAINT "reviews_keeper_members_id_fk" FOREIGN KEY ("keeper") REFERENCES "public"."members"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "reviews_due" ON "reviews" USING btree ("due");