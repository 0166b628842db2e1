/** Topsoil stripped over the site, ground reduced to a level, and what was taken out between openings. */
import { Box, Flex, Stack } from '@chakra-ui/react';
import { mixedLoads, pointsOf, type StrippedTakeoff, topsoilUnder } from '@cimiento/core';
import { useTranslation } from '../../messages/useTranslation.ts';
import { useDesk, useDeskStore } from '../../state/store.ts';
import { useGround, useProblem, useTakeoff } from '../../state/takeoff.ts';
import { Button, FieldError, Small } from '../../ui/controls.tsx';
import { useFormat } from '../../ui/format.tsx';
import { NameRow } from '../../ui/NameRow.tsx';
import { Choice } from '../../ui/TextField.tsx';
import { problemText } from '../../ui/words.ts';
import { addSpotCorner } from '../base/beds.ts';
import { Fact, Panel, PlanField } from '../fields.tsx';
import { addReduced, addTopsoil, stripOutline } from './strips.ts';

const MOST = 40;

export function StripsPanel() {
  const { t } = useTranslation();
  const format = useFormat();
  const store = useDeskStore();
  const strips = useDesk((desk) => desk.plan.site.strips);
  const { strips: worked } = useTakeoff();
  const model = useGround();
  const put = (make: (draft: Parameters<typeof addTopsoil>[0]) => string) => {
    let id = '';
    store.getState().edit((d) => {
      id = make(d);
    });
    store.getState().look({ area: id });
  };
  const places = () => store.getState().plan.elements.flatMap(pointsOf);
  const ground = () => {
    const [x, y] = places()[0] ?? [0, 0];
    return model.level(x, y) - 0.3;
  };
  return (
    <Panel
      fold="shut"
      title={t('strips.title')}
      aside={strips.length > 0 ? format.text(worked.bank, 'volume') : undefined}
    >
      {strips.length === 0 && <Small>{t('strips.none')}</Small>}
      {worked.items.map((own, at) => (
        <Strip key={own.stripped.id} own={own} at={at} />
      ))}
      {strips.length < MOST && (
        <Flex gap={1} wrap="wrap">
          <Button
            size="sm"
            onClick={() => {
              const points = stripOutline(store.getState().plan.site.boundary, places());
              put((d) => addTopsoil(d, points, topsoilUnder(model, { points: [...points] })));
            }}
          >
            {t('strips.add.topsoil')}
          </Button>
          <Button size="sm" onClick={() => put((d) => addReduced(d, places(), ground()))}>
            {t('strips.add.reduce')}
          </Button>
        </Flex>
      )}
    </Panel>
  );
}

function Strip({ own: { stripped, bank, area, soils }, at }: { own: StrippedTakeoff; at: number }) {
  const { t } = useTranslation();
  const format = useFormat();
  const { edit, look } = useDeskStore().getState();
  const picked = useDesk((desk) => desk.view.area === stripped.id);
  const trucks = useDesk((desk) => desk.plan.spoil.trucks);
  const areas = useDesk((desk) => desk.plan.site.areas);
  const there = useDesk((desk) => desk.plan.site.strips[at]?.id === stripped.id);
  const problem = useProblem(`/site/strips/${at}/points`);
  const { soils: known, work } = useTakeoff();
  const lies = work.layDown.areas.find(({ id }) => id === stripped.area);
  if (!there) return null;
  // It goes as far and as deep as the openings it stands between.
  const island = stripped.kind === 'island';
  const loose = soils.reduce((sum, own, k) => sum + own * (1 + known[k]!.swell), 0);
  const mass = soils.reduce((sum, own, k) => sum + own * known[k]!.density, 0);
  const loads = mixedLoads(trucks, loose, mass).reduce((sum, one) => sum + one.loads, 0);
  return (
    <Stack
      gap={1.5}
      borderLeftWidth="3px"
      borderStyle="solid"
      borderColor={picked ? 'chalk' : 'earth'}
      pl={2}
      data-strip={stripped.name}
      onFocus={() => look({ area: stripped.id })}
    >
      <NameRow
        label={t(`strips.kind.${stripped.kind}`)}
        name={stripped.name}
        rename={(name) =>
          edit((d) => {
            d.site.strips[at]!.name = name;
          }, `strip-name:${stripped.id}`)
        }
        removeLabel={t('strips.remove', { name: stripped.name })}
        remove={() =>
          edit((d) => {
            d.site.strips.splice(at, 1);
          })
        }
      />
      {!island && (
        <PlanField
          path={`/site/strips/${at}/${stripped.kind === 'topsoil' ? 'thickness' : 'level'}`}
          optional
        />
      )}
      {problem && <FieldError>{problemText(t, format, problem)}</FieldError>}
      <Fact
        label={t('strips.out')}
        note={t('strips.outNote', {
          area: format.text(area, 'area'),
          loose: format.text(loose, 'volume'),
          count: loads,
        })}
        value={format.text(bank, 'volume')}
      />
      {areas.length > 0 && !island && (
        <Choice
          label={t('strips.lies')}
          value={stripped.area ?? ''}
          options={[
            { value: '', label: t('strips.notSaid') },
            ...areas.map(({ id, name }) => ({ value: id, label: name })),
          ]}
          onChange={(to) =>
            edit((d) => {
              d.site.strips[at]!.area = to === '' ? null : to;
            })
          }
        />
      )}
      {lies && loose > lies.capacity && (
        <Small color="held">
          {t('strips.tooMuch', {
            loose: format.text(loose, 'volume'),
            holds: format.text(lies.capacity, 'volume'),
          })}
        </Small>
      )}
      {!island && (
        <Box>
          <Button
            size="sm"
            look="quiet"
            onClick={() =>
              edit((d) => {
                addSpotCorner(d.site.strips[at]!);
              })
            }
          >
            {t('strips.corner')}
          </Button>
        </Box>
      )}
    </Stack>
  );
}
