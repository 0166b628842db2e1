/** Is this process up? Does not ask the database: a page that says it is away still works. */
export const loader = () => new Response('ok\n', { headers: { 'Cache-Control': 'no-store' } });
