/** Beside a stream: a dam of bags, what it takes, and the pipe that brings the stream past it. */
import { bagDam, bypassFor, FREEBOARD, LEAST_CREST, LEAST_FREEBOARD, newDam, STEEPEST } from '@cimiento/core';
import { useTranslation } from '../../../messages/useTranslation.ts';
import { useDesk, useDeskStore } from '../../../state/store.ts';
import { Button, Small } from '../../../ui/controls.tsx';
import { useFormat } from '../../../ui/format.tsx';
import { Fact, Panel, PlanField } from '../../fields.tsx';
import { lasting } from './use.ts';

const SIZES = ['length', 'depth', 'freeboard', 'crest', 'inner', 'outer', 'bag'] as const;
const ASKED = {
  freeboard: [LEAST_FREEBOARD, 'size'],
  crest: [LEAST_CREST, 'size'],
  inner: [STEEPEST.inner, 'slope'],
  outer: [STEEPEST.outer, 'slope'],
} as const;

export function DamPanel() {
  const { t } = useTranslation();
  const { edit } = useDeskStore().getState();
  const dam = useDesk((desk) => desk.plan.water.dam);
  const stream = useDesk((desk) => desk.plan.ground.hazards.some(({ kind }) => kind === 'stream'));
  const format = useFormat();
  if (!dam && !stream) return null;
  const over = stream && (
    <PlanField
      optional
      hint={t('dewatering.freeboardHint', { typical: format.text(FREEBOARD, 'size') })}
      path="/water/freeboard"
    />
  );
  if (!dam)
    return (
      <Panel title={t('rain.stream')} fold="shut">
        {over}
        <Button
          onClick={() =>
            edit((d) => {
              d.water.dam = newDam(d);
            })
          }
        >
          {t('rain.addDam')}
        </Button>
      </Panel>
    );
  return (
    <Panel title={t('rain.stream')}>
      {over}
      {SIZES.map((key) => (
        <PlanField key={key} path={`/water/dam/${key}`} />
      ))}
      <Takes dam={dam} />
      <PlanField optional path="/water/dam/flow" />
      <PlanField path="/water/dam/fall" />
      <Bypass {...dam} />
      <Small>{t('rain.damNote')}</Small>
      <Button
        look="quiet"
        onClick={() =>
          edit((d) => {
            d.water.dam = null;
          })
        }
      >
        {t('rain.removeDam')}
      </Button>
    </Panel>
  );
}

function Takes({ dam }: { dam: Parameters<typeof bagDam>[0] }) {
  const { t } = useTranslation();
  const format = useFormat();
  const { bags, volume, mass, hours, height, foot, faults } = bagDam(dam);
  return (
    <>
      <Fact
        label={t('rain.bags')}
        note={t('rain.bagsNote', {
          volume: format.text(volume, 'volume'),
          mass: format.text(mass, 'mass'),
          hours: lasting(format, hours),
        })}
        value={String(bags)}
      />
      <Small data-bags={bags}>
        {t('rain.damSize', { height: format.text(height, 'length'), foot: format.text(foot, 'length') })}
      </Small>
      {faults.map((what) => (
        <Small key={what} color="held" data-dam-fault={what}>
          {t(`rain.damFault.${what}`, { least: format.text(ASKED[what][0], ASKED[what][1]) })}
        </Small>
      ))}
    </>
  );
}

function Bypass({ flow, fall, depth }: { flow: number | null; fall: number; depth: number }) {
  const { t } = useTranslation();
  const format = useFormat();
  if (flow === null) return <Small>{t('rain.bypassUnknown')}</Small>;
  const pipes = bypassFor(flow, fall, depth);
  if (pipes.length === 0)
    return (
      <Small color="held" data-bypass="none">
        {t('rain.bypassNone')}
      </Small>
    );
  return pipes.map(({ kind, size, full, needs }) => (
    <div key={kind} data-bypass={size} data-kind={kind}>
      <Fact
        label={t(`rain.bypass.${kind}`)}
        note={t('rain.bypassTakes', {
          flow: format.text(full, 'flow'),
          needs: format.text(needs, 'size'),
          depth: format.text(depth, 'size'),
        })}
        value={format.text(size, 'size')}
      />
    </div>
  ));
}
