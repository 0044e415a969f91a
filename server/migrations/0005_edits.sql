ALTER TABLE "revisions" ALTER COLUMN "document" DROP NOT NULL;--> statement-breakpoint
ALTER TABLE "revisions" ADD COLUMN "edits" jsonb;--> statement-breakpoint
ALTER TABLE "sets" ADD COLUMN "document_revision" integer;--> statement-breakpoint
UPDATE "sets" SET "document_revision" = "revision";--> statement-breakpoint
ALTER TABLE "sets" ALTER COLUMN "document_revision" SET NOT NULL;