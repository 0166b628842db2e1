/**
 * A pour on paper: in what order it is placed, drawn; its trucks by the clock; where a joint falls; how fast forms fill;
 * pins with their depth under the string; what is looked to before it.
 */
import { boxOf, compute, elementName, formsOf, holdsOf, placingOf, readyFor, unionBox } from '@cimiento/core';
import { Circle, Path, Svg, Text, View } from '@react-pdf/renderer';
import { polygonPath, viewOf } from '../drawing/view.ts';
import { makeFormat } from '../ui/format.tsx';
import { clockText, everyText, jointText, layersText, riseText, truckNotes } from '../ui/placingWords.ts';
import { pourName } from '../ui/pourName.ts';
import { readyText } from '../ui/readyWords.ts';
import { SheetFrame, type SheetInput } from './frame.tsx';
import { type Printed, print } from './print.server.ts';
import { s } from './style.server.ts';

const INK = '#162329';
const HELD = '#a02733';
const RULE = '0.5 solid #9aa5a8';
/** Of the drawing, pt; and pins a column and a page take. */
const WIDE = 540;
const HIGH = 250;
const A_COLUMN = 34;
const COLUMNS = 3;
/** To be ticked by hand; what is so already is. Of the letters the sheets are set in. */
const SIGNS = { yes: '[x]', ticked: '[x]', ask: '[ ]', no: '[ ] !' } as const;
/** Trucks a page takes; the rest are told as so many more. */
const TRUCKS = 16;

function worked({ plan, records, pour }: SheetInput) {
  const takeoff = compute(plan, records);
  const id = takeoff.pours.find((one) => one.id === pour)?.id ?? takeoff.pours[0]?.id ?? '';
  const job = { ...takeoff, plan };
  return {
    takeoff,
    made: placingOf(plan, takeoff, id),
    forms: formsOf(plan, takeoff, id),
    ready: readyFor(job, holdsOf(job)).find((one) => one.pour.id === id) ?? null,
  };
}
type Made = ReturnType<typeof worked>;

const Head = ({ children }: { children: React.ReactNode }) => (
  <Text style={{ ...s.h, marginTop: 8, borderBottom: `1 solid ${INK}` }}>{children}</Text>
);

/** Places in their order, with a number where each thing is begun. */
function Order({ made, from }: { made: NonNullable<Made['made']>; from: readonly [number, number] | null }) {
  if (made.places.length === 0) return null;
  const view = viewOf(
    unionBox([...made.places.map(({ plan }) => boxOf(plan)), ...(from ? [boxOf([...from, ...from])] : [])]),
    WIDE,
    HIGH,
    { k: 1, x: 0, y: 0 },
    24,
  );
  const middle = ({ plan }: (typeof made.places)[number]) => {
    const { x0, x1, y0, y1 } = boxOf(plan);
    return [view.x((x0 + x1) / 2), view.y((y0 + y1) / 2)] as const;
  };
  const bottom = made.places.filter(({ layer }) => layer === 1);
  const turns = bottom.filter(({ cast }, i) => bottom[i - 1]?.cast !== cast);
  return (
    <Svg width={WIDE} height={HIGH}>
      {bottom.map((place) => (
        <Path
          key={`${place.cast} ${place.before}`}
          d={polygonPath(view, place.plan)}
          fill="#e3e9e7"
          stroke={INK}
          strokeWidth={0.5}
        />
      ))}
      <Path
        d={`M${bottom
          .map((place) =>
            middle(place)
              .map((one) => one.toFixed(1))
              .join(' '),
          )
          .join('L')}`}
        fill="none"
        stroke="#1b4fa0"
        strokeWidth={0.8}
        strokeDasharray="2 3"
      />
      {turns.map((place, i) => {
        const [x, y] = middle(place);
        return [
          <Circle key={`c${place.before}`} cx={x} cy={y} r={7} fill="#1b4fa0" />,
          <Text
            key={`t${place.before}`}
            x={x}
            y={y + 3}
            textAnchor="middle"
            style={{ fontSize: 8, fill: '#ffffff', fontFamily: 'Figures' }}
          >
            {String(i + 1)}
          </Text>,
        ];
      })}
      {from && (
        <Path
          d={`M${view.x(from[0]) - 7} ${view.y(from[1]) + 5}L${view.x(from[0])} ${view.y(from[1]) - 7}L${view.x(from[0]) + 7} ${view.y(from[1]) + 5}Z`}
          fill="#1b4fa0"
        />
      )}
      {made.joints.map((joint) => {
        const [x, y] = [view.x(joint.at[0]), view.y(joint.at[1])];
        return (
          <Path
            key={`${joint.element} ${joint.against} ${joint.layers}`}
            d={`M${x - 6} ${y - 6}L${x + 6} ${y + 6}M${x - 6} ${y + 6}L${x + 6} ${y - 6}`}
            stroke={HELD}
            strokeWidth={2}
          />
        );
      })}
    </Svg>
  );
}

function Trucks({ input, made }: { input: SheetInput; made: NonNullable<Made['made']> }) {
  const { t, plan, lang, system } = input;
  const format = makeFormat(lang, system);
  const { limit, reach } = plan.pour.placing;
  const heads = [
    t('pouring.truck'),
    '',
    t('pouring.due'),
    t('pouring.comes'),
    t('pouring.begins'),
    t('pouring.empty'),
  ];
  const cells = [44, 48, 44, 44, 48, 44];
  const layers = layersText(t, format, made, reach);
  return (
    <>
      <Text style={{ fontSize: 11, fontWeight: 600 }}>{everyText(t, format, made)}</Text>
      <Text style={s.line}>
        {t('pouring.fresh', {
          minutes: Math.round(made.open),
          temperature: format.text(made.temperature, 'temperature'),
        })}
      </Text>
      {layers !== null && <Text style={s.line}>{layers}</Text>}
      {!made.pour.mixed && (
        <View style={{ ...s.row, borderBottom: RULE }}>
          {heads.map((head, i) => (
            <Text key={`${head} ${cells[i]}`} style={{ ...s.cell, width: cells[i]!, fontWeight: 600 }}>
              {head}
            </Text>
          ))}
        </View>
      )}
      {!made.pour.mixed &&
        made.trucks.slice(0, TRUCKS).map((truck) => (
          <View key={truck.truck} style={{ ...s.row, borderBottom: RULE }}>
            {[
              String(truck.truck),
              format.text(truck.volume, 'volume'),
              clockText(truck.due),
              clockText(truck.arrives),
              clockText(truck.begins),
              clockText(truck.ends),
            ].map((cell, i) => (
              <Text key={`${heads[i]} ${cells[i]}`} style={{ ...s.cell, width: cells[i]! }}>
                {cell}
              </Text>
            ))}
            <Text style={{ ...s.cell, flex: 1 }}>
              {truckNotes(t, format, made, truck, limit).join(' · ')}
            </Text>
          </View>
        ))}
      {made.joints.map((joint) => (
        <Text key={`${joint.element} ${joint.against} ${joint.layers}`} style={{ ...s.line, color: HELD }}>
          {`× ${jointText(t, plan, joint)}${joint.banned ? `. ${t('pouring.jointBanned')}` : ''}`}
        </Text>
      ))}
      <Text style={s.line}>{t(made.joints.length > 0 ? 'pouring.jointDo' : 'pouring.noJoints')}</Text>
      {made.rises.length > 0 && plan.pour.forms.permitted === null && (
        <Text style={s.line}>{t('pouring.keepsNone')}</Text>
      )}
      {plan.pour.forms.permitted !== null &&
        made.rises.map((rise) => {
          const { rises, keeps } = riseText(t, format, plan, rise);
          return (
            <Text key={rise.cast} style={{ ...s.line, ...(rise.over && { color: HELD }) }}>
              {keeps === null ? rises : `${rises}: ${keeps}`}
            </Text>
          );
        })}
    </>
  );
}

function Sheet({ made: all, ...input }: SheetInput & { made: Made }) {
  const { plan, lang, system, t } = input;
  const format = makeFormat(lang, system);
  const { takeoff, made, forms, ready } = all;
  const pages: React.ReactNode[] = [];
  if (!made) pages.push(<Text key="none">{t('pours.none')}</Text>);
  else {
    const turns = [...new Set(made.places.map(({ element }) => element))];
    pages.push(
      <View key="order" style={{ marginTop: 6 }}>
        <Text
          style={s.title}
        >{`${pourName(t, made.pour)}: ${format.text(made.pour.ordered, 'volume')}`}</Text>
        <Order made={made} from={plan.pour.placing.from} />
        <Text style={s.line}>
          {`${t('pouring.order')}: ${turns.map((id, i) => `${i + 1} ${elementName(plan, id)}`).join(', ')}`}
        </Text>
        <Trucks input={input} made={made} />
        {made.trucks.length > TRUCKS && (
          <Text style={s.line}>{t('pouring.more', { count: made.trucks.length - TRUCKS })}</Text>
        )}
      </View>,
    );
    const cautions = ['lineTied', 'atEdge', 'lifting', 'noneBetween', 'burns'] as const;
    pages.push(
      <View key="before" style={{ marginTop: 6 }}>
        {ready && (
          <>
            <Head>{t('ready.title')}</Head>
            {ready.lines.map((line) => (
              <Text key={line.key} style={{ ...s.line, ...(line.state === 'no' && { color: HELD }) }}>
                {`${SIGNS[line.state]} ${readyText(t, format, line, plan.pour.fittings, (id) => elementName(plan, id))}`}
              </Text>
            ))}
          </>
        )}
        <Head>{t('pouring.watch.title')}</Head>
        {cautions.map((code) => (
          <Text key={code} style={s.line}>
            {t(`pouring.watch.${code}`)}
          </Text>
        ))}
      </View>,
    );
    const pins = forms?.pins ?? [];
    for (let from = 0; from < pins.length; from += A_COLUMN * COLUMNS)
      pages.push(
        <View key={`pins ${from}`} style={{ marginTop: 6 }}>
          <Head>{t('forms.pins', { count: pins.length })}</Head>
          <View style={s.row}>
            {Array.from({ length: COLUMNS }, (_, column) => {
              const start = from + column * A_COLUMN;
              const own = pins.slice(start, Math.min(start + A_COLUMN, from + A_COLUMN * COLUMNS));
              return (
                <View key={start} style={{ flex: 1, paddingRight: 8 }}>
                  {own.map((pin) => (
                    <View key={`${pin.element} ${pin.id}`} style={{ ...s.row, borderBottom: RULE }}>
                      <Text style={{ ...s.cell, flex: 1 }}>{pin.id}</Text>
                      <Text style={{ ...s.number, paddingVertical: 2 }}>
                        {format.text(pin.fromString, 'length')}
                      </Text>
                      <Text style={{ ...s.cell, width: 48, textAlign: 'right' }}>
                        {format.text(pin.level, 'level')}
                      </Text>
                      <Text style={{ ...s.cell, width: 40, textAlign: 'right' }}>
                        {format.text(pin.thickness, 'size')}
                      </Text>
                    </View>
                  ))}
                </View>
              );
            })}
          </View>
        </View>,
      );
  }
  return (
    <SheetFrame
      {...input}
      title={t('pouring.sheet')}
      problems={takeoff.problems}
      format={format}
      pages={pages}
    />
  );
}

export function pourPdf(input: SheetInput): Promise<Printed> {
  const made = worked(input);
  return print((how) => <Sheet {...input} {...how} made={made} />);
}
