/** Somebody at a desk whose page could not be fetched: the desk opens out of the phone's store in its place. */
import { useEffect } from 'react';
import { useNavigate, useSearchParams } from 'react-router';

/** As wide as a desk needs, px. */
const WIDE = 900;

export function useDrawnWide(job: string | null): void {
  const [query] = useSearchParams();
  const navigate = useNavigate();
  const fromDesk = query.get('from') === 'desk';
  useEffect(() => {
    if (job && fromDesk && innerWidth >= WIDE) void navigate(`/jobs/${job}`, { replace: true });
  }, [job, fromDesk, navigate]);
}
