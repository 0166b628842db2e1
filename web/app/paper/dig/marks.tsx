/** Colours and small marks of the dig sheet. It is often copied in grey: nothing is told by colour alone. */
import { Path, Svg, Text, View } from '@react-pdf/renderer';
import { s } from '../style.server.ts';

export const INK = '#162329';
export const EARTH = '#a9541f';
export const CHALK = '#1b4fa0';
export const WATER = '#1d6c9c';
export const HELD = '#a02733';
/** What is only assumed, as a pencil writes. */
export const PENCIL = '#6d777b';

/** A figure; one that rests on something only assumed is grey, and has a pencil beside it. */
export function Told({
  text,
  size,
  pencil,
  colour = INK,
}: {
  text: string;
  /** Of its letters, pt. */
  size: number;
  pencil: boolean;
  colour?: string;
}) {
  return (
    <View style={{ flexDirection: 'row', alignItems: 'center', justifyContent: 'flex-end' }}>
      {pencil && <Pencil side={Math.max(7, size * 0.45)} />}
      <Text style={{ ...s.number, fontSize: size, lineHeight: 1.05, color: pencil ? PENCIL : colour }}>
        {text}
      </Text>
    </View>
  );
}

const Pencil = ({ side }: { side: number }) => (
  <Svg width={side} height={side} viewBox="0 0 10 10" style={{ marginRight: 2 }}>
    <Path d="M1 9L1.8 6.4L7.2 1L9 2.8L3.6 8.2Z" fill="none" stroke={PENCIL} strokeWidth={1} />
  </Svg>
);
