CREATE TABLE "saves" (
	"job_id" uuid NOT NULL,
	"number" integer NOT NULL,
	"at" timestamp with time zone NOT NULL,
	"back" jsonb NOT NULL,
	CONSTRAINT "saves_job_id_number_pk" PRIMARY KEY("job_id","number")
);
--> statement-breakpoint
ALTER TABLE "revisions" ADD COLUMN "first" integer;--> statement-breakpoint
UPDATE "revisions" SET "first" = "number";--> statement-breakpoint
ALTER TABLE "revisions" ALTER COLUMN "first" SET NOT NULL;--> statement-breakpoint
ALTER TABLE "saves" ADD CONSTRAINT "saves_job_id_jobs_id_fk" FOREIGN KEY ("job_id") REFERENCES "public"."jobs"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
-- Both are written over at every save: room is taken back soon, not after a share of a table of long rows.
ALTER TABLE "revisions" SET (autovacuum_vacuum_threshold = 40, autovacuum_vacuum_scale_factor = 0, toast.autovacuum_vacuum_threshold = 100, toast.autovacuum_vacuum_scale_factor = 0);--> statement-breakpoint
ALTER TABLE "jobs" SET (autovacuum_vacuum_threshold = 40, autovacuum_vacuum_scale_factor = 0, toast.autovacuum_vacuum_threshold = 100, toast.autovacuum_vacuum_scale_factor = 0);
