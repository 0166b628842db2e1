/** Figures to press with a gloved thumb: what is read stands over them, no keyboard comes up over the page. */
import { Box } from '@chakra-ui/react';
import { Delete } from 'lucide-react';
import { useTranslation } from '../messages/useTranslation.ts';
import { Press } from './parts.tsx';

const KEYS = ['7', '8', '9', '4', '5', '6', '1', '2', '3'] as const;

export function Keypad({
  text,
  onText,
  onOk,
  ok,
  point,
}: {
  text: string;
  onText: (text: string) => void;
  onOk: () => void;
  ok: string;
  /** What parts whole from part: a point, a comma, a foot’s mark. */
  point: readonly string[];
}) {
  const { t } = useTranslation();
  const key = (figure: string) => (
    <Press key={figure} onClick={() => onText(text + figure)} fontSize="2xl" minH="54px">
      {figure === ' ' ? '␣' : figure}
    </Press>
  );
  return (
    <Box display="grid" gridTemplateColumns="repeat(4, 1fr)" gap={1.5} data-keypad>
      {KEYS.slice(0, 3).map(key)}
      <Press aria-label={t('shot.del')} onClick={() => onText(text.slice(0, -1))}>
        <Delete aria-hidden />
      </Press>
      {KEYS.slice(3, 6).map(key)}
      {key(point[0]!)}
      {KEYS.slice(6).map(key)}
      {point[1] === undefined ? key('-') : key(point[1])}
      {key('0')}
      <Press look="main" gridColumn="2 / 5" onClick={onOk} disabled={text.trim() === ''} data-log>
        {ok}
      </Press>
    </Box>
  );
}
