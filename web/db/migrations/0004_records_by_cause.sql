ALTER TABLE "records" ALTER COLUMN "seq" SET DATA TYPE bigint;--> statement-breakpoint
ALTER TABLE "records" ADD COLUMN "after" text;--> statement-breakpoint
ALTER TABLE "records" ADD COLUMN "revision" integer;--> statement-breakpoint
ALTER TABLE "revisions" ADD COLUMN "named" boolean DEFAULT false NOT NULL;--> statement-breakpoint
ALTER TABLE "records" ALTER COLUMN "seq" DROP DEFAULT;--> statement-breakpoint
DROP SEQUENCE IF EXISTS "records_seq_seq";
