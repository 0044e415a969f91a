CREATE TABLE "marks" (
	"name" text PRIMARY KEY NOT NULL,
	"value" text NOT NULL
);
--> statement-breakpoint
CREATE TABLE "revisions" (
	"set_id" text NOT NULL,
	"revision" integer NOT NULL,
	"saved_at" timestamp with time zone DEFAULT now() NOT NULL,
	"words" text NOT NULL,
	"document" jsonb NOT NULL,
	CONSTRAINT "revisions_set_id_revision_pk" PRIMARY KEY("set_id","revision")
);
--> statement-breakpoint
ALTER TABLE "revisions" ADD CONSTRAINT "revisions_set_id_sets_id_fk" FOREIGN KEY ("set_id") REFERENCES "public"."sets"("id") ON DELETE cascade ON UPDATE no action;