/** How wide and steep: the numbers of the thing picked, then what holds for the whole dig. */
import { Box, Flex, Stack } from '@chakra-ui/react';
import { type Element, FORMS, INCH, RULE_SETS, SUPPORTS, stringFor } from '@cimiento/core';
import { Trash2 } from 'lucide-react';
import { useTranslation } from '../../messages/useTranslation.ts';
import { useLog } from '../../state/records.ts';
import { removeElement } from '../../state/removeElement.ts';
import { useDesk, useDeskStore } from '../../state/store.ts';
import { useTakeoff } from '../../state/takeoff.ts';
import { Button, Small } from '../../ui/controls.tsx';
import { useFormat } from '../../ui/format.tsx';
import { QuantityField } from '../../ui/QuantityField.tsx';
import { Choice, TextField } from '../../ui/TextField.tsx';
import { bottomText } from '../../ui/words.ts';
import { Fact, Panel, PlanField } from '../fields.tsx';
import { HandField } from './HandField.tsx';
import { KindFields } from './kindFields.tsx';
import { type Own, usePut } from './own.ts';

export function DigPanel() {
  const { t } = useTranslation();
  const plan = useDesk((desk) => desk.plan);
  const picked = useDesk((desk) => desk.picked);
  const index = plan.elements.findIndex((e) => e.id === picked);
  const element = plan.elements[index];
  return element ? (
    <Numbers element={element} index={index} />
  ) : (
    <Small fontSize="sm" pb={3}>
      {t('dig.pickOne')}
    </Small>
  );
}

/** Narrow enough for a bucket to be chosen, and for a wall or column to stand on. */
const isNarrow = ({ kind }: Element, inBays: boolean) =>
  (FORMS[kind] === 'run' || FORMS[kind] === 'pad') && !inBays;

function Numbers({ element, index }: Own<Element>) {
  const { t } = useTranslation();
  const format = useFormat();
  const info = useTakeoff().elements[index];
  const inBays = (info?.bays ?? null) !== null;
  return (
    <Panel
      title={t(`kinds.title.${element.kind}`, { name: element.name })}
      aside={info && `${format.text(info.length, 'length')} · ${format.text(info.volume, 'volume')}`}
    >
      <KindFields key={element.kind} element={element} index={index} />
      <Width element={element} index={index} inBays={inBays} />
      {!inBays && <Sides element={element} index={index} />}
      {FORMS[element.kind] !== 'ramp' && <HandField element={element} index={index} />}
      <details>
        <summary style={{ fontSize: '0.875rem', cursor: 'pointer' }}>{t('dig.more')}</summary>
        <Stack gap={2} pt={2}>
          <More element={element} index={index} inBays={inBays} />
        </Stack>
      </details>
    </Panel>
  );
}

/** How wide it is dug, with which bucket. */
function Width({ element, index, inBays }: Own<Element> & { inBays: boolean }) {
  const { t } = useTranslation();
  const format = useFormat();
  const put = usePut({ element, index });
  const { room, buckets } = useDesk((desk) => desk.plan.dig);
  const info = useTakeoff().elements[index];
  const narrow = isNarrow(element, inBays);
  const passes =
    info && t('dig.passes', { count: info.width.passes, bucket: format.text(info.width.bucket, 'size') });
  return (
    <>
      {narrow && (
        <Choice
          label={t('dig.method')}
          value={element.method}
          options={(['formed', 'trenchFill'] as const).map((value) => ({ value, label: t(`dig.${value}`) }))}
          onChange={(value) =>
            put((e) => {
              e.method = value;
            })
          }
        />
      )}
      {FORMS[element.kind] !== 'ramp' && element.method === 'formed' && !inBays && (
        <PlanField hint={t('dig.eachSide')} path={`/elements/${index}/room`} placeholder={room} optional />
      )}
      {narrow && (
        <Choice
          label={t('dig.bucket')}
          value={element.bucket === null ? '' : String(element.bucket)}
          options={[
            { value: '', label: t('dig.bestBucket') },
            ...buckets.map((b) => ({ value: String(b), label: format.text(b, 'size') })),
          ]}
          onChange={(value) =>
            put((e) => {
              e.bucket = value === '' ? null : Number(value);
            })
          }
        />
      )}
      {info && (
        <Fact
          label={t('dig.bottomWidth')}
          note={narrow && passes ? passes : ''}
          value={bottomText(info, format)}
        />
      )}
    </>
  );
}

/** What keeps its sides up, and how steep they are. */
function Sides({ element, index }: Own<Element>) {
  const { t } = useTranslation();
  const format = useFormat();
  const put = usePut({ element, index });
  const { support, slope } = useDesk((desk) => desk.plan.dig);
  const info = useTakeoff().elements[index];
  return (
    <>
      <Choice
        label={t('dig.support')}
        value={element.support ?? ''}
        options={[
          { value: '' as const, label: t('dig.asJob', { what: t(`ways.${support}`) }) },
          ...SUPPORTS.map((value) => ({ value, label: t(`ways.${value}`) })),
        ]}
        onChange={(value) =>
          put((e) => {
            e.support = value === '' ? null : value;
          })
        }
      />
      {(element.support ?? support) === 'slope' && (
        <PlanField
          label={t('dig.side')}
          hint={
            info
              ? t('dig.sideHint', {
                  steepest: format.text(info.rule.steepest, 'slope'),
                  class: info.rule.slopeClass,
                })
              : ''
          }
          path={`/elements/${index}/slope`}
          placeholder={slope}
          optional
        />
      )}
    </>
  );
}

/** How low the bottom was found: as it was shot, or told here of the whole of it. */
function FoundLow({ element }: { element: string }) {
  const { t } = useTranslation();
  const format = useFormat();
  const log = useLog();
  const found = useTakeoff().asDug.get(element) ?? null;
  const measured = found?.shots.filter(({ level }) => level !== null).length ?? 0;
  return (
    <>
      <QuantityField
        label={t('dig.low')}
        hint={t('dig.lowHint')}
        range="low"
        value={found ? Math.round(found.mean * 1000) / 1000 : 0}
        onCommit={(low) => {
          if (low !== null) log('shot', { on: 'formation', from: { by: 'said', low } }, { element });
        }}
      />
      {found && measured > 0 && (
        <Small data-found={element}>
          {t('dig.found', {
            count: measured,
            low: format.text(found.low, 'volume', { decimals: 2 }),
            high: format.text(found.high, 'volume', { decimals: 2 }),
          })}
        </Small>
      )}
    </>
  );
}

/** What is seldom typed, its name, and taking it away. */
function More({ element, index, inBays }: Own<Element> & { inBays: boolean }) {
  const { t } = useTranslation();
  const store = useDeskStore();
  const put = usePut({ element, index });
  const handTrim = useDesk((desk) => desk.plan.dig.handTrim);
  const info = useTakeoff().elements[index];
  const path = `/elements/${index}`;
  return (
    <>
      {FORMS[element.kind] !== 'ramp' && !inBays && (
        <PlanField label={t('dig.level')} hint={t('dig.levelHint')} path={`${path}/level`} optional />
      )}
      <FoundLow element={element.id} />
      <PlanField
        hint={t('dig.handTrimHint')}
        path={`${path}/trim`}
        placeholder={handTrim ?? info?.trim}
        optional
      />
      <StringChoice element={element} index={index} />
      {isNarrow(element, inBays) && (
        <PlanField
          label={t(`dig.stem.${FORMS[element.kind] === 'pad' ? 'pad' : 'strip'}`)}
          path={`${path}/stem`}
        />
      )}
      <TextField
        label={t('dig.name')}
        value={element.name}
        maxLength={80}
        onChange={(event) => {
          const { value } = event.target;
          if (value)
            put((e) => {
              e.name = value;
            }, `name:${element.id}`);
        }}
      />
      <TextField
        label={t('dig.group')}
        hint={t('dig.groupHint')}
        value={element.group}
        maxLength={40}
        onChange={(event) => {
          const { value } = event.target;
          put((e) => {
            e.group = value;
          }, `group:${element.id}`);
        }}
      />
      <Button
        look="held"
        onClick={() => {
          store.getState().edit((d) => removeElement(d, element.id));
          store.getState().pick(store.getState().plan.elements[Math.max(0, index - 1)]?.id ?? null);
        }}
      >
        <Trash2 size={15} aria-hidden /> {t('dig.remove', { name: element.name })}
      </Button>
    </>
  );
}

/** The string its depths are measured from. */
function StringChoice({ element, index }: Own<Element>) {
  const { t } = useTranslation();
  const format = useFormat();
  const put = usePut({ element, index });
  const plan = useDesk((desk) => desk.plan);
  const { strings, string } = plan.levels;
  if (strings.length === 0) return null;
  const floors = stringFor(plan, { ...element, string: null });
  return (
    <Choice
      label={t('strings.hangsOn')}
      value={element.string ?? ''}
      options={[
        {
          value: '',
          label:
            floors.name === null
              ? t('strings.own', { level: format.text(string, 'level') })
              : t('strings.asFloor', { name: floors.name }),
        },
        ...strings.map((one) => ({ value: one.id, label: one.name })),
      ]}
      onChange={(value) =>
        put((e) => {
          e.string = value === '' ? null : value;
        })
      }
    />
  );
}

/** What holds for every trench and pad unless one says otherwise. */
export function DigJobPanel() {
  const { t } = useTranslation();
  const format = useFormat();
  const store = useDeskStore();
  const { dig, ruleSet, emergencyContact } = useDesk((desk) => desk.plan);
  const { handTrim } = useTakeoff();
  const { edit } = store.getState();
  return (
    <Panel title={t('dig.job')} aside={t('dig.jobAside')}>
      <Choice
        label={t('dig.support')}
        value={dig.support}
        options={SUPPORTS.map((value) => ({ value, label: t(`ways.${value}`) }))}
        onChange={(value) =>
          edit((d) => {
            d.dig.support = value;
          })
        }
      />
      <TextField
        label={t('dig.emergencyContact')}
        name="emergencyContact"
        value={emergencyContact}
        maxLength={120}
        autoComplete="off"
        onChange={(event) =>
          edit((d) => {
            d.emergencyContact = event.target.value;
          }, 'emergencyContact')
        }
      />
      <PlanField path="/dig/slope" />
      <PlanField path="/dig/bench/height" />
      <PlanField path="/dig/bench/width" />
      <PlanField hint={t('dig.eachSide')} path="/dig/shore" />
      <PlanField hint={t('dig.eachSide')} path="/dig/room" />
      <Choice
        label={t('dig.ruleSet')}
        value={ruleSet}
        options={RULE_SETS.map((value) => ({ value, label: t(`dig.rules.${value}`) }))}
        onChange={(value) =>
          edit((d) => {
            d.ruleSet = value;
          })
        }
      />
      {ruleSet === 'own' && <OwnRules />}
      <Choice
        label={t('dig.corners')}
        value={dig.corners}
        options={(['mitred', 'rounded'] as const).map((value) => ({ value, label: t(`dig.${value}`) }))}
        onChange={(value) =>
          edit((d) => {
            d.dig.corners = value;
          })
        }
      />
      <PlanField
        hint={t('dig.handTrimHint')}
        path="/dig/handTrim"
        placeholder={handTrim.thickness}
        optional
      />
      {dig.buckets.map((bucket, i) => (
        // biome-ignore lint/suspicious/noArrayIndexKey: buckets are known by their place in the set
        <Flex key={i} gap={1.5} align="center">
          <Box flex={1}>
            <PlanField label={t('dig.bucketN', { n: i + 1 })} path={`/dig/buckets/${i}`} />
          </Box>
          <Button
            look="quiet"
            disabled={dig.buckets.length === 1}
            aria-label={t('dig.removeBucket', { width: format.text(bucket, 'size') })}
            onClick={() =>
              edit((d) => {
                d.dig.buckets.splice(i, 1);
              })
            }
          >
            <Trash2 size={15} aria-hidden />
          </Button>
        </Flex>
      ))}
      {dig.buckets.length < 12 && (
        <Button
          onClick={() =>
            edit((d) => {
              d.dig.buckets.push(format.system === 'metric' ? 0.6 : 24 * INCH);
            })
          }
        >
          {t('dig.addBucket')}
        </Button>
      )}
    </Panel>
  );
}

const OWN = [
  'protectFrom',
  'a',
  'b',
  'c',
  'engineerDepth',
  'setback',
  'ladderDepth',
  'ladderTravel',
] as const;

/** The crew's or the country's own rules, typed. */
function OwnRules() {
  const { t } = useTranslation();
  return OWN.map((key) => <PlanField key={key} label={t(`dig.own.${key}`)} path={`/ownRules/${key}`} />);
}
