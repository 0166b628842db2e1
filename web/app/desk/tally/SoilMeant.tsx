/** A small cut through a trench that shows which soil, stone or concrete a line of workings means. */
import { ink } from '../../drawing/hatches.tsx';

const [W, H] = [76, 40] as const;
/** Ground, bottom, and the trench's corners, px. */
const GROUND = 10;
const BOTTOM = 32;
const [LEFT, NEAT0, NEAT1, RIGHT] = [24, 30, 40, 46] as const;
const SPREAD = 12;

const box = (x0: number, y0: number, x1: number, y1: number) => `M${x0} ${y0}H${x1}V${y1}H${x0}Z`;
const sides = `M${LEFT - SPREAD} ${GROUND}H${LEFT}V${BOTTOM}ZM${RIGHT + SPREAD} ${GROUND}H${RIGHT}V${BOTTOM}Z`;
const all = `M${LEFT - SPREAD} ${GROUND}H${RIGHT + SPREAD}L${RIGHT} ${BOTTOM}H${LEFT}Z`;
const stone = `M${LEFT - 2} ${BOTTOM - 4}H${RIGHT + 2}L${RIGHT} ${BOTTOM}H${LEFT}Z`;
const lean = box(NEAT0 - 2, BOTTOM - 6, NEAT1 + 2, BOTTOM - 4);
const footing = box(NEAT0, BOTTOM - 11, NEAT1, BOTTOM - 6);
const stem = box(33, GROUND - 2, 37, BOTTOM - 11);
const lens = `M${LEFT + 2} ${BOTTOM}Q35 ${BOTTOM + 9} ${RIGHT - 2} ${BOTTOM}Z`;
const heap = `M58 ${GROUND}Q66 -4 74 ${GROUND}Z`;
const truck = 'M48 22h22l-3 9h-16ZM52 33a2.5 2.5 0 1 0 .1 0M65 33a2.5 2.5 0 1 0 .1 0';
const drum = 'M50 30L54 20H66L70 30ZM53 33a2.5 2.5 0 1 0 .1 0M66 33a2.5 2.5 0 1 0 .1 0';

interface Drawn {
  readonly d: string;
  readonly colour: string;
  /** The trench is drawn round it. */
  readonly trench: boolean;
}

const soil = (d: string): Drawn => ({ d, colour: 'held', trench: true });
const put = (d: string): Drawn => ({ d, colour: 'placed', trench: true });
const away = (d: string): Drawn => ({ d, colour: 'held', trench: true });

/** What each line means, by the step's name or what it begins with. */
const MEANT: readonly (readonly [RegExp, Drawn])[] = [
  [/^neat$/, soil(box(NEAT0, GROUND, NEAT1, BOTTOM))],
  [/^overdig\.room$/, soil(box(NEAT0 - 4, GROUND, NEAT0, BOTTOM) + box(NEAT1, GROUND, NEAT1 + 4, BOTTOM))],
  [/^overdig\.bucket$/, soil(box(LEFT, GROUND, NEAT0 - 4, BOTTOM) + box(NEAT1 + 4, GROUND, RIGHT, BOTTOM))],
  [/^overdig\.sides$/, soil(sides)],
  [/^overdig\.low$/, soil(box(LEFT, BOTTOM, RIGHT, BOTTOM + 4))],
  [/^(overdig\.soft|putBack)$/, soil(lens)],
  [/^overdig\.access$/, soil(`M${RIGHT} ${BOTTOM}L74 ${GROUND}H${RIGHT + SPREAD}Z`)],
  [/^digTotal$/, soil(all)],
  [/^stratum$/, soil(`M${LEFT - 5} ${GROUND + 8}H${RIGHT + 5}L${RIGHT + 2} ${GROUND + 15}H${LEFT - 2}Z`)],
  [/^handTrim$/, soil(box(LEFT, BOTTOM - 2.5, RIGHT, BOTTOM))],
  [/^(bulk|pile|keepSoil|topsoilBack)$/, away(heap)],
  [
    /^void$/,
    soil(
      `M${LEFT - SPREAD} ${GROUND}H33V${BOTTOM - 11}H${NEAT0}V${BOTTOM - 6}H${LEFT - 3}ZM${RIGHT + SPREAD} ${GROUND}H37V${BOTTOM - 11}H${NEAT1}V${BOTTOM - 6}H${RIGHT + 3}Z`,
    ),
  ],
  [/^(haulSoil|loads|mixed|broken|shortfall)/, { d: truck, colour: 'held', trench: false }],
  [/^(trucks|order)$/, { d: drum, colour: 'placed', trench: false }],
  [/^(lifts|stone|drainStone|makeUp)/, put(stone)],
  [/^(blinding|irregularity)$/, put(lean)],
  [/^footings$/, put(footing)],
  [
    /^inflow/,
    { d: `M${LEFT - 7} 19H${RIGHT + 7}L${RIGHT} ${BOTTOM}H${LEFT}Z`, colour: 'water', trench: true },
  ],
];

export function SoilMeant({ step }: { step: string }) {
  const meant = MEANT.find(([steps]) => steps.test(step))?.[1];
  if (!meant) return null;
  return (
    <svg
      width={W}
      height={H}
      viewBox={`0 0 ${W} ${H}`}
      aria-hidden
      data-meant={step}
      style={{ flexShrink: 0 }}
    >
      {meant.trench && (
        <>
          <path
            d={`M0 ${GROUND}H${LEFT - SPREAD}L${LEFT} ${BOTTOM}H${RIGHT}L${RIGHT + SPREAD} ${GROUND}H${W}V${H}H0Z`}
            fill={ink('earth-wash')}
          />
          {meant.colour === 'placed' || /void/.test(step) ? (
            <path d={footing + stem} fill={ink('placed-wash')} stroke={ink('soft')} strokeWidth={0.5} />
          ) : null}
          <path
            d={`M0 ${GROUND}H${LEFT - SPREAD}L${LEFT} ${BOTTOM}H${RIGHT}L${RIGHT + SPREAD} ${GROUND}H${W}`}
            fill="none"
            stroke={ink('ink')}
            strokeWidth={1}
          />
        </>
      )}
      <path d={meant.d} fill={ink(meant.colour)} opacity={0.75} />
      <path d={meant.d} fill="none" stroke={ink(meant.colour)} strokeWidth={0.8} />
    </svg>
  );
}
