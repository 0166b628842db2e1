/** Where a photo of a job is, by the id of its record. */
export const photoUrl = (job: string, record: string): string => `/jobs/${job}/photos/${record}`;
