CREATE TABLE "sessions" (
	"id" text PRIMARY KEY NOT NULL,
	"phrase" text NOT NULL,
	"created_at" timestamp with time zone NOT NULL,
	"seen_at" timestamp with time zone NOT NULL
);
--> statement-breakpoint
ALTER TABLE "pictures" ALTER COLUMN "bytes" DROP NOT NULL;--> statement-breakpoint
ALTER TABLE "pictures" ADD COLUMN "size" integer DEFAULT 0 NOT NULL;--> statement-breakpoint
ALTER TABLE "pictures" ADD COLUMN "unused_day" integer;--> statement-breakpoint
ALTER TABLE "sets" ADD COLUMN "away_day" integer;--> statement-breakpoint
UPDATE "pictures" SET "size" = octet_length("bytes") WHERE "bytes" IS NOT NULL;
