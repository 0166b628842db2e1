ALTER TABLE "people" ALTER COLUMN "lang" DROP DEFAULT;--> statement-breakpoint
ALTER TABLE "people" ALTER COLUMN "lang" DROP NOT NULL;