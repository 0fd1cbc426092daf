CREATE TABLE "reach_stamp" (
	"only" boolean PRIMARY KEY DEFAULT true NOT NULL,
	"stamp" uuid DEFAULT gen_random_uuid() NOT NULL
);
--> statement-breakpoint
CREATE TABLE "entry_words" (
	"entry" text PRIMARY KEY NOT NULL,
	"head" "tsvector" NOT NULL,
	"words" "tsvector" NOT NULL
);
--> statement-breakpoint
CREATE TABLE "vocabulary" (
	"word" text PRIMARY KEY NOT NULL,
	"initial" text NOT NULL,
	"length" integer NOT NULL
);
--> statement-breakpoint
ALTER TABLE "entry_words" ADD CONSTRAINT "entry_words_entry_entries_id_fk" FOREIGN KEY ("entry") REFERENCES "public"."entries"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "entry_words_head" ON "entry_words" USING gin ("head") WITH (fastupdate=false);--> statement-breakpoint
CREATE INDEX "entry_words_all" ON "entry_words" USING gin ("words") WITH (fastupdate=false);--> statement-breakpoint
CREATE INDEX "vocabulary_by_initial" ON "vocabulary" USING btree ("initial","length");
--> statement-breakpoint
-- Another stamp whenever anything that rights are worked out from is another: what was worked out before is known by its stamp.
INSERT INTO "reach_stamp" DEFAULT VALUES;
--> statement-breakpoint
CREATE FUNCTION "stamp_reach"() RETURNS trigger LANGUAGE plpgsql AS $$
BEGIN
	UPDATE "reach_stamp" SET "stamp" = gen_random_uuid();
	RETURN NULL;
END
$$;
--> statement-breakpoint
CREATE TRIGGER "stamp_by_collections" AFTER INSERT OR DELETE OR TRUNCATE OR UPDATE OF "parent", "owned_by", "deletion" ON "collections"
	FOR EACH STATEMENT EXECUTE FUNCTION "stamp_reach"();
--> statement-breakpoint
CREATE TRIGGER "stamp_by_grants" AFTER INSERT OR DELETE OR TRUNCATE OR UPDATE ON "grants"
	FOR EACH STATEMENT EXECUTE FUNCTION "stamp_reach"();
--> statement-breakpoint
CREATE TRIGGER "stamp_by_groups" AFTER INSERT OR DELETE OR TRUNCATE OR UPDATE ON "group_members"
	FOR EACH STATEMENT EXECUTE FUNCTION "stamp_reach"();
