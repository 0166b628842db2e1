CREATE TABLE "photos" (
	"job_id" uuid NOT NULL,
	"record" text NOT NULL,
	"crew_id" uuid NOT NULL,
	"photo" "bytea" NOT NULL,
	"thumb" "bytea" NOT NULL,
	"received_at" timestamp with time zone DEFAULT now() NOT NULL,
	CONSTRAINT "photos_job_id_record_pk" PRIMARY KEY("job_id","record")
);
--> statement-breakpoint
ALTER TABLE "photos" ADD CONSTRAINT "photos_job_id_jobs_id_fk" FOREIGN KEY ("job_id") REFERENCES "public"."jobs"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "photos" ADD CONSTRAINT "photos_crew_id_crews_id_fk" FOREIGN KEY ("crew_id") REFERENCES "public"."crews"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "photos" ALTER COLUMN "photo" SET STORAGE EXTERNAL, ALTER COLUMN "thumb" SET STORAGE EXTERNAL;
