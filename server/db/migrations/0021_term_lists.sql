CREATE TABLE "term_lists" (
	"id" text PRIMARY KEY NOT NULL,
	"begun_at" timestamp with time zone NOT NULL
);
--> statement-breakpoint
ALTER TABLE "terms" DROP CONSTRAINT "terms_glossary_glossaries_id_fk";--> statement-breakpoint
ALTER TABLE "terms" RENAME COLUMN "glossary" TO "list";--> statement-breakpoint
ALTER TABLE "terms" RENAME CONSTRAINT "terms_glossary_text_pk" TO "terms_list_text_pk";--> statement-breakpoint
ALTER TABLE "glossaries" ADD COLUMN "list" text;--> statement-breakpoint
ALTER TABLE "glossaries" ADD COLUMN "term_count" integer NOT NULL DEFAULT 0;--> statement-breakpoint
ALTER TABLE "glossaries" ALTER COLUMN "term_count" DROP DEFAULT;--> statement-breakpoint
UPDATE "glossaries" SET "list" = "id", "term_count" = (SELECT count(*) FROM "terms" WHERE "terms"."list" = "glossaries"."id");--> statement-breakpoint
ALTER TABLE "glossaries" ALTER COLUMN "list" SET NOT NULL;--> statement-breakpoint
INSERT INTO "term_lists" SELECT "id", now() FROM "glossaries";
