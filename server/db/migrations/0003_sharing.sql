CREATE TABLE "group_members" (
	"group_id" text NOT NULL,
	"member" text NOT NULL,
	CONSTRAINT "group_members_group_id_member_pk" PRIMARY KEY("group_id","member")
);
--> statement-breakpoint
CREATE TABLE "groups" (
	"id" text PRIMARY KEY NOT NULL,
	"name" text NOT NULL,
	CONSTRAINT "groups_name_unique" UNIQUE("name")
);
--> statement-breakpoint
ALTER TABLE "grants" DROP CONSTRAINT "grants_collection_member_pk";--> statement-breakpoint
ALTER TABLE "grants" ALTER COLUMN "member" DROP NOT NULL;--> statement-breakpoint
ALTER TABLE "collections" ADD COLUMN "parent" text;--> statement-breakpoint
ALTER TABLE "collections" ADD COLUMN "version" integer DEFAULT 1 NOT NULL;--> statement-breakpoint
ALTER TABLE "collections" ADD COLUMN "sharing_version" integer DEFAULT 1 NOT NULL;--> statement-breakpoint
ALTER TABLE "grants" ADD COLUMN "group_id" text;--> statement-breakpoint
ALTER TABLE "group_members" ADD CONSTRAINT "group_members_group_id_groups_id_fk" FOREIGN KEY ("group_id") REFERENCES "public"."groups"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "group_members" ADD CONSTRAINT "group_members_member_members_id_fk" FOREIGN KEY ("member") REFERENCES "public"."members"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "collections" ADD CONSTRAINT "collections_parent_collections_id_fk" FOREIGN KEY ("parent") REFERENCES "public"."collections"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "grants" ADD CONSTRAINT "grants_group_id_groups_id_fk" FOREIGN KEY ("group_id") REFERENCES "public"."groups"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "grants" ADD CONSTRAINT "grants_once" UNIQUE NULLS NOT DISTINCT("collection","member","group_id");