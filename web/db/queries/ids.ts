/** PostgreSQL refuses malformed ids with an error; an unknown job is simply not found. */
export const isId = (id: string): boolean => /^[0-9a-f]{8}(-[0-9a-f]{4}){3}-[0-9a-f]{12}$/i.test(id);
