/** How a figure was worked out, line by line, and how far what nobody has said could move it. */
import { Box } from '@chakra-ui/react';
import { type Figure, type FigureId, type Plan, UNPUBLISHED, type Working } from '@cimiento/core';
import { coded, type Say } from '../../messages/keys.ts';
import { useTranslation } from '../../messages/useTranslation.ts';
import { useBounds } from '../../state/ask/whatif.ts';
import { useShownPlan, useTakeoff } from '../../state/takeoff.ts';
import { Small } from '../../ui/controls.tsx';
import { useFormat } from '../../ui/format.tsx';
import { Modal } from '../../ui/Modal.tsx';
import { unsaidText } from '../../ui/unsaid.ts';
import { OverdigStack } from './OverdigStack.tsx';
import { SoilMeant } from './SoilMeant.tsx';

/** A person's own names come through: a soil's id becomes its name. */
function labelOf(plan: Plan, { label }: Pick<Working, 'label'>, t: Say): string {
  if (label === undefined) return '';
  const soil = plan.ground.soils.find((s) => s.id === label);
  return soil ? soil.name || t(`soil.${soil.kind}`) : label;
}

/** Where a value is from: a published work by its name, what is not published in words. */
function sourceOf({ source, origin }: Working['inputs'][number], t: Say): string {
  if (source === undefined) return '';
  // What the bed's specification asks is typed and has a source all the same.
  if (origin === 'typed' && source !== 'specification') return '';
  const unpublished = UNPUBLISHED.find((one) => one === source);
  return `, ${unpublished ? t(`unpublished.${unpublished}`) : source}`;
}

export function Workings({ id, figure, onClose }: { id: FigureId; figure: Figure; onClose: () => void }) {
  const { t } = useTranslation();
  const format = useFormat();
  const plan = useShownPlan();
  const value = figure.known ? format.text(figure.value, figure.kind) : '–';
  return (
    <Modal open title={`${t(`tally.${id}.name`)} · ${value}`} onClose={onClose}>
      <Moved id={id} />
      {id === 'dig' && <OverdigStack onHatch={onClose} />}
      <Box as="ol">
        {figure.workings.length === 0 && <li>{t('tally.nothing')}</li>}
        {/* Of what is none nothing is said, but where it is all there is. */}
        {figure.workings
          .filter(({ value, gives }) => value !== 0 || gives)
          .map((working) => {
            const label = labelOf(plan, working, t);
            return (
              <Box
                as="li"
                key={`${working.step} ${working.label ?? ''}`}
                py={2}
                borderBottomWidth="1px"
                borderStyle="solid"
                borderColor="rule"
              >
                <Box display="flex" justifyContent="space-between" gap={3} alignItems="baseline">
                  <Box as="span" fontWeight={500}>
                    {t(coded(`work.${working.step}`))}
                    {label && ` · ${label}`}
                  </Box>
                  <Box as="span" fontFamily="figure" fontWeight={600} fontSize="lg" whiteSpace="nowrap">
                    {format.text(working.value, working.kind)}
                  </Box>
                </Box>
                <Box display="flex" gap={3} alignItems="center">
                  <SoilMeant step={working.step} />
                  <Sentence working={working} />
                </Box>
                <details>
                  <Box as="summary" fontSize="xs" color="soft" cursor="pointer">
                    {t('said.formula')}
                  </Box>
                  <Box as="code" fontSize="xs" color="soft">
                    {working.formula}
                    {working.inputs
                      .filter(({ kind }) => kind === 'permeability')
                      .map(({ value }) => ` · k = ${format.parts(value, 'permeability').number} m/s`)}
                    {working.source && ` · ${working.source}`}
                  </Box>
                </details>
                {/* The terms of a sum are the lines above it. */}
                {working.rule !== 'sum' && working.inputs.length > 0 && (
                  <Box as="ul" display="flex" flexWrap="wrap" columnGap={4} mt={1}>
                    {working.inputs.map((input) => (
                      <Box as="li" key={`${input.name} ${input.label ?? ''}`} fontSize="sm">
                        {t(coded(`${input.line ? 'work' : 'input'}.${input.name}`))}
                        {input.label !== undefined && ` · ${labelOf(plan, input, t)}`}{' '}
                        <Box as="span" fontFamily="figure" fontWeight={600} fontSize="md">
                          {format.text(input.value, input.kind)}
                        </Box>{' '}
                        <Small display="inline">
                          {t(`origin.${input.origin}`)}
                          {sourceOf(input, t)}
                        </Small>
                      </Box>
                    ))}
                  </Box>
                )}
              </Box>
            );
          })}
      </Box>
    </Modal>
  );
}

/** The working as a crew says it, its numbers in place. */
function Sentence({ working }: { working: Working }) {
  const { t } = useTranslation();
  const format = useFormat();
  // Of what did not happen nothing is said.
  if (working.value === 0) return null;
  const values = Object.fromEntries([
    ...working.inputs.map((input) => [input.name, format.text(input.value, input.kind)] as const),
    ['value', format.text(working.value, working.kind)] as const,
  ]);
  return (
    <Box fontSize="sm" data-said={working.step}>
      {t(coded(`said.${working.step}`), values)}
    </Box>
  );
}

/** How far what nobody has said could move it; asked only while someone looks. */
function Moved({ id }: { id: FigureId }) {
  const { t } = useTranslation();
  const format = useFormat();
  const plan = useShownPlan();
  const { kind } = useTakeoff().figures[id];
  const bounds = useBounds(plan);
  const bound = bounds?.[id];
  if (bounds === null) return <Small>{t('pencil.asking')}</Small>;
  if (!bound) return <Small data-bound="none">{t('pencil.still')}</Small>;
  return (
    <Small data-bound={id}>
      {t('pencil.moves', {
        low: format.text(bound.low, kind),
        high: format.text(bound.high, kind),
        what: unsaidText(t, format, plan, bound.by),
      })}
    </Small>
  );
}
