CREATE TABLE "glossaries" (
	"id" text PRIMARY KEY NOT NULL,
	"name" text NOT NULL,
	"language" text NOT NULL,
	"kinds_of_work" jsonb NOT NULL,
	"priority" integer NOT NULL,
	"careful" boolean NOT NULL,
	"shipped" text,
	"version" integer NOT NULL,
	"made_by" text
);
--> statement-breakpoint
CREATE TABLE "preferences" (
	"member" text PRIMARY KEY NOT NULL,
	"content" jsonb NOT NULL
);
--> statement-breakpoint
CREATE TABLE "terms" (
	"glossary" text NOT NULL,
	"text" text NOT NULL,
	"cue" text NOT NULL,
	"weight" integer NOT NULL,
	"note" text NOT NULL,
	CONSTRAINT "terms_glossary_text_pk" PRIMARY KEY("glossary","text")
);
--> statement-breakpoint
CREATE TABLE "uses" (
	"member" text NOT NULL,
	"source" text NOT NULL,
	"list" text NOT NULL,
	"term" text NOT NULL,
	"kind" text NOT NULL,
	"day" date NOT NULL,
	"times" integer NOT NULL,
	"shown" integer NOT NULL,
	"pressed" integer NOT NULL,
	CONSTRAINT "uses_member_source_list_term_kind_day_pk" PRIMARY KEY("member","source","list","term","kind","day")
);
--> statement-breakpoint
ALTER TABLE "glossaries" ADD CONSTRAINT "glossaries_made_by_members_id_fk" FOREIGN KEY ("made_by") REFERENCES "public"."members"("id") ON DELETE set null ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "preferences" ADD CONSTRAINT "preferences_member_members_id_fk" FOREIGN KEY ("member") REFERENCES "public"."members"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "terms" ADD CONSTRAINT "terms_glossary_glossaries_id_fk" FOREIGN KEY ("glossary") REFERENCES "public"."glossaries"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "uses" ADD CONSTRAINT "uses_member_members_id_fk" FOREIGN KEY ("member") REFERENCES "public"."members"("id") ON DELETE cascade ON UPDATE no action;