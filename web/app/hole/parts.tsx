/** What the hole is made of: large things to press and read, with one hand, in gloves, in the sun. */
import { Box, chakra } from '@chakra-ui/react';

/** Never smaller than a gloved thumb. */
export const Press = chakra('button', {
  base: {
    display: 'flex',
    alignItems: 'center',
    justifyContent: 'center',
    gap: 2,
    w: 'full',
    minH: '56px',
    minW: '48px',
    px: 3,
    borderRadius: 'md',
    borderWidth: '2px',
    borderStyle: 'solid',
    borderColor: 'ink',
    bg: 'sheet',
    color: 'ink',
    fontWeight: 600,
    fontSize: 'lg',
    textAlign: 'center',
    cursor: 'pointer',
    touchAction: 'manipulation',
    _disabled: { opacity: 0.45, cursor: 'default' },
    '&[aria-pressed=true], &[aria-current=true]': { bg: 'ink', color: 'sheet' },
  },
  variants: {
    look: {
      plain: {},
      main: { bg: 'ink', color: 'sheet' },
      held: { borderColor: 'held', color: 'held' },
      quiet: { borderColor: 'transparent', fontWeight: 500, fontSize: 'md', minH: '48px' },
    },
  },
  defaultVariants: { look: 'plain' },
});

/** What is typed or chosen in. */
const field = {
  w: 'full',
  minH: '52px',
  px: 2.5,
  borderRadius: 'md',
  borderWidth: '2px',
  borderStyle: 'solid',
  borderColor: 'ink',
  bg: 'sheet',
  color: 'ink',
  fontSize: 'lg',
} as const;
export const Typed = chakra('input', { base: { ...field, _invalid: { borderColor: 'held' } } });
export const Pick = chakra('select', { base: field });

export const Label = ({ text, children }: { text: string; children: React.ReactNode }) => (
  <Box as="label" display="block" fontSize="md" fontWeight={500}>
    {text}
    <Box mt={1}>{children}</Box>
  </Box>
);

/** A word that stops, warns or only tells. */
export function Word({
  tone = 'note',
  children,
  onPress,
  expanded,
  ...rest
}: {
  tone?: 'stop' | 'note' | 'good';
  children: React.ReactNode;
  /** The whole of it is pressed. */
  onPress?: () => void;
  expanded?: boolean;
} & Record<`data-${string}`, string | undefined>) {
  const colour = tone === 'stop' ? 'held' : tone === 'good' ? 'placed' : 'edge';
  const pressed = onPress && {
    as: 'button' as const,
    type: 'button' as const,
    onClick: onPress,
    'aria-expanded': expanded,
    w: 'full',
    minH: '48px',
    textAlign: 'left' as const,
    cursor: 'pointer',
    borderWidth: 0,
    color: 'ink',
  };
  return (
    <Box
      {...pressed}
      role={tone === 'stop' && !onPress ? 'alert' : undefined}
      borderLeftWidth="6px"
      borderStyle="solid"
      borderColor={colour}
      bg={tone === 'stop' ? 'heldWash' : 'sheet'}
      px={3}
      py={2}
      fontSize="lg"
      lineHeight={1.3}
      fontWeight={tone === 'stop' ? 600 : 500}
      {...rest}
    >
      {children}
    </Box>
  );
}
