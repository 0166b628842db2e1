/** The small picture of a photo: from the server, or from this browser while it waits or there is no signal. */
import { Box } from '@chakra-ui/react';
import { useEffect, useState } from 'react';
import { waitingPicture } from '../outbox/outbox.ts';
import { useJobId } from '../state/jobId.ts';
import { keepThumb, keptThumb, whoIsHere } from '../state/phone.ts';
import { useDesk } from '../state/store.ts';
import { photoUrl } from './url.ts';

const jpeg = (bytes: ArrayBuffer) => URL.createObjectURL(new Blob([bytes], { type: 'image/jpeg' }));

/**
 * @param keeps whether this browser keeps it, to be seen without signal
 */
export function Thumb({ record, text, keeps = false }: { record: string; text: string; keeps?: boolean }) {
  const job = useJobId();
  const waits = useDesk(
    (desk) => desk.unsent.includes(record) || desk.refused.some(({ id }) => id === record),
  );
  const [own, setOwn] = useState<string | null>(null);
  const [lost, setLost] = useState(false);
  useEffect(() => {
    if (!waits && !lost) return;
    let made: string | null = null;
    let gone = false;
    void (async () => {
      const person = whoIsHere()?.id;
      const bytes =
        (await waitingPicture(record))?.thumb ?? (person ? await keptThumb(person, record) : null);
      if (!bytes || gone) return;
      made = jpeg(bytes);
      setOwn(made);
    })();
    return () => {
      gone = true;
      if (made) URL.revokeObjectURL(made);
    };
  }, [record, waits, lost]);
  const source = own ?? (waits ? null : `${photoUrl(job, record)}?thumb`);
  const keep = async () => {
    const person = whoIsHere()?.id;
    if (!keeps || own || !person || (await keptThumb(person, record))) return;
    const answer = await fetch(`${photoUrl(job, record)}?thumb`).catch(() => null);
    if (answer?.ok) await keepThumb(person, record, await answer.arrayBuffer());
  };
  return (
    <Box
      as="span"
      display="block"
      aspectRatio="4 / 3"
      bg="chalkWash"
      borderWidth="1px"
      borderStyle="solid"
      borderColor="rule"
      overflow="hidden"
      data-thumb={record}
      data-from={own ? 'here' : 'server'}
    >
      {source && (
        <img
          src={source}
          alt={text}
          loading="lazy"
          decoding="async"
          style={{ width: '100%', height: '100%', objectFit: 'cover' }}
          onLoad={() => void keep()}
          onError={() => setLost(true)}
        />
      )}
    </Box>
  );
}
