/** Boards of a pour's forms, cut from stock, what holds them, and the pins it is levelled by. */
import { Box, Flex, Stack } from '@chakra-ui/react';
import { type FormSet, formsOf, type LevelPin, type PourForms, startOf } from '@cimiento/core';
import { useMemo } from 'react';
import { useTranslation } from '../../../messages/useTranslation.ts';
import { useJobId } from '../../../state/jobId.ts';
import { useDesk, useDeskStore } from '../../../state/store.ts';
import { useShownPlan, useTakeoff } from '../../../state/takeoff.ts';
import { Button, Small } from '../../../ui/controls.tsx';
import { cutText } from '../../../ui/cutWords.ts';
import { useFormat } from '../../../ui/format.tsx';
import { Choice, TextField } from '../../../ui/TextField.tsx';
import { Panel, PlanField } from '../../fields.tsx';
import { Which } from './PlacingPanel.tsx';
import { useChosenPour } from './usePlacing.ts';

const CORNERS = ['lapped', 'mitred'] as const;

export function FormsPanel() {
  const { t } = useTranslation();
  // What is typed wrong leaves nothing worked out: its field stays.
  if (useDesk((desk) => desk.plan.elements.length === 0)) return null;
  return (
    <Panel fold="shut" title={t('forms.title')}>
      <Which />
      <Shown />
      <details>
        <Box as="summary" cursor="pointer" fontSize="sm">
          {t('forms.how')}
        </Box>
        <Typed />
      </details>
    </Panel>
  );
}

/** A length is its place in the list: it has no name of its own. */
const places = (stock: readonly number[]) =>
  stock.map((length, i) => ({ key: `/pour/forms/stock/${i}`, length, i }));

function Typed() {
  const { t } = useTranslation();
  const store = useDeskStore();
  const format = useFormat();
  const plan = useDesk((desk) => desk.plan);
  const { forms } = plan.pour;
  const { edit } = store.getState();
  return (
    <Stack gap={2} pt={2}>
      <PlanField path="/pour/forms/board" />
      <Choice
        label={t('forms.corner')}
        value={forms.corner}
        options={CORNERS.map((value) => ({ value, label: t(`forms.corners.${value}`) }))}
        onChange={(corner) =>
          edit((d) => {
            d.pour.forms.corner = corner;
          })
        }
      />
      {places(forms.stock).map(({ key, length, i }) => (
        <Flex key={key} gap={1} align="end">
          <Box flex="1">
            <PlanField path={`/pour/forms/stock/${i}`} />
          </Box>
          {forms.stock.length > 1 && (
            <Button
              size="sm"
              look="quiet"
              onClick={() =>
                edit((d) => {
                  d.pour.forms.stock.splice(i, 1);
                })
              }
            >
              {t('forms.removeStock', { length: format.text(length, 'length') })}
            </Button>
          )}
        </Flex>
      ))}
      {forms.stock.length < 8 && (
        <Button
          size="sm"
          onClick={() =>
            edit((d) => {
              d.pour.forms.stock.push(startOf('/pour/forms/stock/*', d.system));
            })
          }
        >
          {t('forms.addStock')}
        </Button>
      )}
      <PlanField path="/pour/forms/stakes" />
      <PlanField path="/pour/forms/kickers" />
      <PlanField path="/pour/forms/straps" />
      <PlanField path="/pour/forms/permitted" optional />
      {forms.permitted !== null && (
        <>
          <TextField
            label={t('forms.who')}
            value={forms.who}
            maxLength={80}
            onChange={({ target }) =>
              edit((d) => {
                d.pour.forms.who = target.value;
              }, 'field:/pour/forms/who')
            }
          />
          <PlanField path="/pour/forms/chemistry" />
          <PlanField path="/pour/forms/slump" optional />
        </>
      )}
      <Small>{t('forms.noDesign')}</Small>
    </Stack>
  );
}

function Shown() {
  const { t } = useTranslation();
  const jobId = useJobId();
  const plan = useShownPlan();
  const takeoff = useTakeoff();
  const id = useChosenPour()?.id ?? '';
  const made = useMemo<PourForms | null>(() => formsOf(plan, takeoff, id), [plan, takeoff, id]);
  if (!made) return null;
  return (
    <Stack gap={2} data-forms={made.pour.id}>
      {made.sets.length === 0 && <Small>{t('forms.none')}</Small>}
      {made.sets.map((set) => (
        <Boards key={set.height} set={set} />
      ))}
      <Pins pins={made.pins} />
      {made.sets.length + made.pins.length > 0 && (
        <a
          href={`/jobs/${jobId}/cut-list.pdf?pour=${encodeURIComponent(made.pour.id)}`}
          target="_blank"
          rel="noreferrer"
        >
          {t('forms.sheet')}
        </a>
      )}
    </Stack>
  );
}

function Boards({ set }: { set: FormSet }) {
  const { t } = useTranslation();
  const format = useFormat();
  const length = set.boards.reduce((sum, board) => sum + board.length, 0);
  const { cut } = set;
  return (
    <Stack gap={1} data-form-set={set.height}>
      <Flex justify="space-between" gap={2}>
        <Box fontWeight={600}>{t('forms.set', { height: format.text(set.height, 'size') })}</Box>
        <Box>{t('forms.boards', { count: set.boards.length, length: format.text(length, 'length') })}</Box>
      </Flex>
      <Small>
        {t('forms.bought', {
          length: format.text(cut.bought, 'length'),
          waste: format.text(cut.waste, 'percent', { decimals: 0 }),
        })}
        {cut.joints > 0 && `; ${t('forms.joints', { count: cut.joints })}`}
      </Small>
      <Small>{t('forms.holds', { stakes: set.stakes, kickers: set.kickers, straps: set.straps })}</Small>
      {set.risers.map((riser) => (
        <Small key={riser.id}>
          {t('forms.riser', {
            height: format.text(riser.height, 'size'),
            length: format.text(riser.length, 'length'),
          })}
        </Small>
      ))}
      <details>
        <Box as="summary" cursor="pointer" fontSize="sm">
          {t('forms.cut')}
        </Box>
        <Box as="ul" listStyleType="none" fontSize="sm" data-cut-list>
          {cutText(format, cut).map(({ key, stock, cuts, count, left }) => (
            <li key={key}>
              {t('forms.from', { count, stock, cuts })}
              {left !== null && `, ${t('forms.over', { left })}`}
            </li>
          ))}
        </Box>
      </details>
    </Stack>
  );
}

function Pins({ pins }: { pins: readonly LevelPin[] }) {
  const { t } = useTranslation();
  const format = useFormat();
  if (pins.length === 0) return null;
  return (
    <details data-pins={pins.length}>
      <Box as="summary" cursor="pointer" fontSize="sm">
        {t('forms.pins', { count: pins.length })}
      </Box>
      <Box as="ul" listStyleType="none" fontSize="sm">
        {pins.map((pin) => (
          <li key={`${pin.element} ${pin.id}`}>
            {t('forms.pin', {
              name: pin.id,
              depth: format.text(pin.fromString, 'length'),
              level: format.text(pin.level, 'level'),
              thickness: format.text(pin.thickness, 'size'),
            })}
          </li>
        ))}
      </Box>
    </details>
  );
}
