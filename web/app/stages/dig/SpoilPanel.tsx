/** Where the spoil goes: lay-down areas, ways that stay clear, gates, the plot; and how sure the loads are. */
import { Box, Flex } from '@chakra-ui/react';
import { AREA_USES, nextName, pointsOf } from '@cimiento/core';
import { Trash2 } from 'lucide-react';
import { useTranslation } from '../../messages/useTranslation.ts';
import { useDesk, useDeskStore } from '../../state/store.ts';
import { useProblem, useTakeoff } from '../../state/takeoff.ts';
import { Button, FieldError, Small } from '../../ui/controls.tsx';
import { Explain } from '../../ui/Explain.tsx';
import { useFormat } from '../../ui/format.tsx';
import { Choice, TextField } from '../../ui/TextField.tsx';
import { problemText } from '../../ui/words.ts';
import { Panel, PlanField } from '../fields.tsx';

export function SpoilPanel() {
  const { t } = useTranslation();
  const format = useFormat();
  const store = useDeskStore();
  const site = useDesk((desk) => desk.plan.site);
  const picked = useDesk((desk) => desk.view.area);
  const { work, spoil, areas: dug } = useTakeoff();
  const { layDown } = work;
  const { edit, look } = store.getState();
  const addArea = () => {
    const { plan } = store.getState();
    const id = nextName(
      'area-',
      plan.site.areas.map((a) => a.id),
    );
    const side = Math.max(3, Math.round(Math.sqrt(spoil.keptLoose)));
    const places = plan.elements.flatMap(pointsOf);
    // East of everything, clear of what opens round it.
    const x = (places.length > 0 ? Math.max(...places.map((p) => p[0])) : 0) + (dug.opening > 0 ? 6 : 2);
    const y = places.length > 0 ? Math.min(...places.map((p) => p[1])) : 0;
    edit((d) => {
      d.site.areas.push({
        id,
        name: nextName(
          'L',
          d.site.areas.map((a) => a.name),
        ),
        use: 'spoil',
        points: [
          [x, y],
          [x + side, y],
          [x + side, y + side],
          [x, y + side],
        ],
      });
    });
    look({ area: id });
  };
  const addPath = () => {
    const { plan } = store.getState();
    const id = nextName(
      'path-',
      plan.site.paths.map((p) => p.id),
    );
    edit((d) => {
      d.site.paths.push({
        id,
        name: nextName(
          'W',
          d.site.paths.map((p) => p.name),
        ),
        width: 3,
        points: [
          [-6, -4],
          [0, -4],
        ],
      });
    });
    look({ area: id });
  };
  return (
    <Panel
      fold="open"
      title={t('site.spoil')}
      aside={t('site.keep', { volume: format.text(spoil.keptLoose, 'volume') })}
    >
      {site.areas.length === 0 && <Small fontSize="sm">{t('site.noAreas')}</Small>}
      {site.areas.map((area, i) => {
        const laid = layDown.areas.find((entry) => entry.id === area.id);
        const open = area.id === picked;
        return (
          <Box key={area.id} borderWidth="1px" borderStyle="solid" borderColor="rule" data-area={area.name}>
            <Button
              look="quiet"
              w="full"
              justifyContent="space-between"
              aria-expanded={open}
              bg={open ? 'chalkWash' : 'transparent'}
              onClick={() => look({ area: open ? null : area.id })}
            >
              <span>
                {area.name} · {t(`site.use.${area.use}`)}
              </span>
              <Box as="span" fontFamily="figure" data-holds>
                {laid && `${format.text(laid.holds, 'volume')} / ${format.text(laid.capacity, 'volume')}`}
              </Box>
            </Button>
            {laid && laid.rehandled > 0.05 && (
              <Box px={2} pb={1} fontSize="sm" color="held" fontWeight={600} data-rehandled>
                {t('site.rehandled', {
                  volume: format.text(laid.rehandled, 'volume'),
                  names: laid.overlaps
                    .map((overlap) => overlap.name)
                    .filter((name) => name !== '')
                    .join(', '),
                })}
              </Box>
            )}
            {open && (
              <Flex direction="column" gap={1.5} p={2} pt={0}>
                <TextField
                  label={t('hazard.name')}
                  value={area.name}
                  maxLength={80}
                  onChange={(event) =>
                    event.target.value &&
                    edit((d) => {
                      d.site.areas[i]!.name = event.target.value;
                    }, `area-name:${area.id}`)
                  }
                />
                <Choice
                  label={t('site.for')}
                  value={area.use}
                  options={AREA_USES.map((value) => ({ value, label: t(`site.use.${value}`) }))}
                  onChange={(use) =>
                    edit((d) => {
                      d.site.areas[i]!.use = use;
                    })
                  }
                />
                {laid && (
                  <Small>
                    {t('site.areaFacts', {
                      area: format.text(laid.area, 'area'),
                      height: format.text(laid.height, 'length'),
                      edge: format.text(Math.max(0, laid.edge), 'length'),
                    })}
                  </Small>
                )}
                {area.points.map((_p, k) => (
                  // biome-ignore lint/suspicious/noArrayIndexKey: a corner is known by its place in the outline
                  <Flex key={k} gap={2}>
                    <PlanField
                      stacked
                      label={t('setout.east', { n: k + 1 })}
                      path={`/site/areas/${i}/points/${k}/0`}
                    />
                    <PlanField
                      stacked
                      label={t('setout.north', { n: k + 1 })}
                      path={`/site/areas/${i}/points/${k}/1`}
                    />
                  </Flex>
                ))}
                <Flex gap={1.5} wrap="wrap">
                  <Button size="sm" onClick={() => look({ placing: { what: 'area', id: area.id } })}>
                    {t('site.moreCorners')}
                  </Button>
                  <Button
                    size="sm"
                    look="held"
                    onClick={() => {
                      edit((d) => {
                        d.site.areas.splice(i, 1);
                      });
                      look({ area: null });
                    }}
                  >
                    <Trash2 size={14} aria-hidden /> {t('site.remove', { name: area.name })}
                  </Button>
                </Flex>
              </Flex>
            )}
          </Box>
        );
      })}
      <Flex gap={1.5} wrap="wrap">
        <Button onClick={addArea}>{t('site.addArea')}</Button>
        <Button onClick={addPath}>{t('site.addPath')}</Button>
        <Button onClick={() => look({ placing: { what: 'gate' } })}>{t('site.addGate')}</Button>
        <Button
          onClick={() => {
            edit((d) => {
              d.site.boundary = [];
            });
            look({ placing: { what: 'boundary' } });
          }}
        >
          {t(site.boundary.length > 0 ? 'site.redrawPlot' : 'site.drawPlot')}
        </Button>
      </Flex>
      <Ways />
      <Chances />
    </Panel>
  );
}

/** Paths and gates: few numbers each. */
function Ways() {
  const { t } = useTranslation();
  const format = useFormat();
  const store = useDeskStore();
  const site = useDesk((desk) => desk.plan.site);
  const problem = useProblem('/site/boundary');
  const { edit } = store.getState();
  const remove = (label: string, recipe: (d: Parameters<Parameters<typeof edit>[0]>[0]) => void) => (
    <Button look="quiet" px={1} aria-label={t('site.remove', { name: label })} onClick={() => edit(recipe)}>
      <Trash2 size={14} aria-hidden />
    </Button>
  );
  return (
    <>
      {problem && <FieldError role="alert">{problemText(t, format, problem)}</FieldError>}
      {site.boundary.length > 0 && (
        <Flex justify="space-between" align="center">
          <Small fontSize="sm">{t('site.plot', { count: site.boundary.length })}</Small>
          {remove(t('site.plotName'), (d) => {
            d.site.boundary = [];
          })}
        </Flex>
      )}
      {site.paths.map((path, i) => (
        <Flex key={path.id} align="end" gap={1}>
          <Box flex="1">
            <PlanField label={t('site.pathWidth', { name: path.name })} path={`/site/paths/${i}/width`} />
          </Box>
          <Button
            size="sm"
            onClick={() => store.getState().look({ placing: { what: 'path', id: path.id } })}
            aria-label={t('site.drawPath', { name: path.name })}
          >
            {t('site.draw')}
          </Button>
          {remove(path.name, (d) => {
            d.site.paths.splice(i, 1);
          })}
        </Flex>
      ))}
      {site.gates.map((gate, i) => (
        <Flex key={gate.id} align="end" gap={1}>
          <Box flex="1">
            <PlanField label={t('site.gateWidth', { name: gate.name })} path={`/site/gates/${i}/width`} />
          </Box>
          {remove(gate.name, (d) => {
            d.site.gates.splice(i, 1);
          })}
        </Flex>
      ))}
    </>
  );
}

/** Loads a truck, and how sure that many do. */
function Chances() {
  const { t } = useTranslation();
  const format = useFormat();
  const trucks = useDesk((desk) => desk.plan.spoil.trucks);
  const { work, loads } = useTakeoff();
  return (
    <>
      <PlanField hint={t('site.spreadHint')} path="/spoil/spread" />
      <Explain term="deviation" />
      {work.chances
        .filter((chance) => chance.chances.length > 0)
        .map((chance) => {
          const truck = trucks.find((entry) => entry.id === chance.truck);
          const load = loads.find((entry) => entry.truck.id === chance.truck);
          return (
            <Box key={chance.truck} fontSize="sm" data-chance={truck?.name}>
              <Flex justify="space-between" gap={2}>
                <span>{truck?.name}</span>
                <Box as="span" fontFamily="figure" fontWeight={600}>
                  {t('site.sure', { count: chance.sure })}
                </Box>
              </Flex>
              <Small>
                {chance.chances
                  .map(
                    ({ loads: n, chance: share }) =>
                      `${n}: ${format.text(share, 'percent', { decimals: 0 })}`,
                  )
                  .join(' · ')}
                {load &&
                  ` · ${t('site.lastFill', { fill: format.text(load.lastFill, 'percent', { decimals: 0 }) })}`}
              </Small>
            </Box>
          );
        })}
    </>
  );
}
