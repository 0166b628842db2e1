/** Photos of a thing, or of the job: one is taken, made small here, said in words and logged; the newest stand below. */
import { Box, Flex } from '@chakra-ui/react';
import { type HoleView, inTime, middleOf, type SiteRecord, standing } from '@cimiento/core';
import { useEffect, useMemo, useRef, useState } from 'react';
import { useTranslation } from '../messages/useTranslation.ts';
import type { Shrunk } from '../photo/shrink.ts';
import { Thumb } from '../photo/Thumb.tsx';
import { photoUrl } from '../photo/url.ts';
import { useJobId } from '../state/jobId.ts';
import { recordOf } from '../state/records.ts';
import { useDesk, useDeskStore } from '../state/store.ts';
import { Label, Pick, Press, Typed, Word } from './parts.tsx';

/** Shown at once; more when asked for. */
const SHOWN = 30;

type PhotoRecord = Extract<SiteRecord, { kind: 'photo' }>;

export function PhotoView({ view, at }: { view: HoleView; at: string | null }) {
  const { t } = useTranslation();
  const jobId = useJobId();
  const records = useDesk((desk) => desk.records);
  const [shown, setShown] = useState(SHOWN);
  const photos = useMemo(
    () =>
      inTime(standing(records))
        .filter(
          (record): record is PhotoRecord =>
            record.kind === 'photo' && record.value !== null && (at === null || record.element === at),
        )
        .reverse(),
    [records, at],
  );
  return (
    <Box display="grid" gap={2.5} px={3} data-photos={photos.length}>
      <Take view={view} at={at} />
      {photos.length === 0 && <Box fontSize="md">{t('photo.none')}</Box>}
      <Box as="ul" listStyleType="none" display="grid" gridTemplateColumns="1fr 1fr" gap={2}>
        {photos.slice(0, shown).map(({ id, element, value }) => (
          <li key={id}>
            <a href={photoUrl(jobId, id)} target="_blank" rel="noreferrer">
              <Thumb record={id} text={value?.text || t('record.photo')} keeps />
              <Box fontSize="md">
                {[view.things.find((thing) => thing.id === element)?.name, value?.text]
                  .filter(Boolean)
                  .join(' · ')}
              </Box>
            </a>
          </li>
        ))}
      </Box>
      {photos.length > shown && (
        <Press onClick={() => setShown(shown + SHOWN)}>
          {t('photo.older', { count: photos.length - shown })}
        </Press>
      )}
    </Box>
  );
}

/** Takes one: the camera, what came of it, words, the thing it is of. */
function Take({ view, at }: { view: HoleView; at: string | null }) {
  const { t } = useTranslation();
  const store = useDeskStore();
  const file = useRef<HTMLInputElement>(null);
  const [made, setMade] = useState<Shrunk | null>(null);
  const [state, setState] = useState<'ready' | 'working' | 'notAPhoto' | 'tooLarge'>('ready');
  const [text, setText] = useState('');
  const [thing, setThing] = useState(at ?? '');
  const [preview, setPreview] = useState<string | null>(null);
  useEffect(() => {
    if (!made) return setPreview(null);
    const url = URL.createObjectURL(new Blob([made.picture.thumb], { type: 'image/jpeg' }));
    setPreview(url);
    return () => URL.revokeObjectURL(url);
  }, [made]);
  const take = async (picked: File) => {
    setState('working');
    setMade(null);
    const { MOST_FILE, shrink } = await import('../photo/shrink.ts');
    if (picked.size > MOST_FILE) return setState('tooLarge');
    const shrunk = await shrink(picked);
    setMade(shrunk);
    setState(shrunk ? 'ready' : 'notAPhoto');
  };
  const log = () => {
    if (!made) return;
    const { picture, width, height, size } = made;
    // Where the thing's middle is: what the picture is of lies there or by it.
    const of = store.getState().plan.elements.find(({ id }) => id === thing);
    const record = recordOf(
      store.getState(),
      'photo',
      { text: text.trim(), width, height, size },
      { element: of?.id ?? null, place: of ? middleOf(of) : null },
    );
    store.getState().deliver(record, picture);
    setMade(null);
    setText('');
  };
  return (
    <Box display="grid" gap={2} data-take={state}>
      <input
        ref={file}
        type="file"
        accept="image/*"
        capture="environment"
        hidden
        data-file="photo"
        onChange={(event) => {
          const [picked] = event.target.files ?? [];
          if (picked) void take(picked);
          event.target.value = '';
        }}
      />
      <Press
        look={made ? 'quiet' : 'main'}
        disabled={state === 'working'}
        onClick={() => file.current?.click()}
      >
        {t(state === 'working' ? 'photo.working' : made ? 'photo.again' : 'photo.take')}
      </Press>
      {(state === 'notAPhoto' || state === 'tooLarge') && (
        <Word tone="stop">{t(state === 'notAPhoto' ? 'problem.notAPhoto' : 'photo.tooLarge')}</Word>
      )}
      {made && preview && (
        <>
          <Flex gap={2} align="center">
            <img src={preview} alt={t('record.photo')} style={{ width: '40%' }} />
            <Box fontSize="md" data-size={made.size}>
              {t('photo.size', { size: Math.ceil(made.size / 1000) })}
            </Box>
          </Flex>
          <Label text={t('photo.text')}>
            <Typed
              name="text"
              maxLength={400}
              value={text}
              onChange={(event) => setText(event.target.value)}
            />
          </Label>
          <Label text={t('photo.of')}>
            <Pick name="of" value={thing} onChange={(event) => setThing(event.target.value)}>
              <option value="">{t('photo.job')}</option>
              {view.things.map(({ id, name }) => (
                <option key={id} value={id}>
                  {name}
                </option>
              ))}
            </Pick>
          </Label>
          <Press look="main" data-log-it onClick={log}>
            {t('day.log')}
          </Press>
        </>
      )}
    </Box>
  );
}
