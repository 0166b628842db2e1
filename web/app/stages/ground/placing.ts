/** What a press on the plan does while something is being placed there. */
import { nextName, polygonArea, startOf } from '@cimiento/core';
import type { DeskStore } from '../../state/store.ts';
import { addLog } from './logs.ts';

type Place = readonly [number, number];
const round2 = (value: number) => Math.round(value * 100) / 100;

/** Puts what is being placed at a point of the plan; nothing when nothing is. */
export function placeAt(store: DeskStore, at: Place, levelAt: (x: number, y: number) => number): void {
  const { view, look, edit } = store.getState();
  const { placing } = view;
  if (!placing) return;
  const point: Place = [round2(at[0]), round2(at[1])];
  switch (placing.what) {
    case 'log': {
      let id = '';
      edit((d) => {
        id = addLog(d, point);
      });
      look({ placing: null, log: id, lower: { ...view.lower, ground: 'pit' } });
      return;
    }
    case 'spot':
      edit((d) => {
        if (d.ground.surface.kind === 'spots')
          d.ground.surface.points.push([
            point[0],
            point[1],
            Math.round(levelAt(point[0], point[1]) * 1000) / 1000,
          ]);
      });
      return;
    case 'gate':
      edit((d) => {
        const id = nextName(
          'gate-',
          d.site.gates.map((gate) => gate.id),
        );
        d.site.gates.push({
          id,
          name: nextName(
            'G',
            d.site.gates.map((g) => g.name),
          ),
          at: point,
          width: 3.5,
        });
      });
      look({ placing: null });
      return;
    case 'boundary':
      edit((d) => {
        d.site.boundary.push(point);
      }, 'boundary-draw');
      return;
    case 'area':
      edit((d) => {
        d.site.areas.find((area) => area.id === placing.id)?.points.push(point);
      }, `area-draw:${placing.id}`);
      return;
    case 'path':
      edit((d) => {
        d.site.paths.find((path) => path.id === placing.id)?.points.push(point);
      }, `path-draw:${placing.id}`);
      return;
    case 'ditch':
      edit((d) => {
        d.water.ditches.find((ditch) => ditch.id === placing.id)?.points.push(point);
      }, `ditch-draw:${placing.id}`);
      return;
    case 'drained':
      // An outline grows by a corner a press; its area is what drains in.
      edit((d) => {
        const known = d.water.drained.find(({ element }) => element === placing.id);
        const points = [...(known?.points ?? []), [point[0], point[1]] as [number, number]];
        const drawn = points.length > 2 ? Math.abs(polygonArea(points.flat())) : 0;
        if (known) Object.assign(known, { points, area: drawn });
        else d.water.drained.push({ element: placing.id, area: drawn, points });
      }, `drained-draw:${placing.id}`);
      return;
    case 'sump':
      edit((d) => {
        const pump = d.water.pumps.find(({ id }) => id === placing.id);
        if (pump) pump.sump.at = [point[0], point[1]];
      });
      look({ placing: null });
      return;
    case 'letOff':
      edit((d) => {
        d.pour.placing.from = [point[0], point[1]];
      });
      look({ placing: null });
      return;
    case 'surface':
      edit((d) => {
        const list = d.water.surface;
        list.push({
          id: nextName(
            'surface-',
            list.map(({ id }) => id),
          ),
          name: nextName(
            'W',
            list.map(({ name }) => name),
          ),
          kind: 'washOut',
          at: [point[0], point[1]],
          area: startOf('/water/surface/*/area', d.system),
        });
      });
      look({ placing: null });
      return;
    case 'hazard':
      // A line grows by a point a press until the person is done.
      edit((d) => {
        d.ground.hazards.find((hazard) => hazard.id === placing.id)?.points.push(point);
      }, `hazard-draw:${placing.id}`);
      return;
    case 'fence':
      if (placing.from === null) look({ placing: { what: 'fence', from: point } });
      else look({ fence: [placing.from, point], placing: null, lower: { ...view.lower, ground: 'fence' } });
  }
}

/** Id and name for a new hazard. */
export function newHazardId(store: DeskStore): string {
  return nextName(
    'hazard-',
    store.getState().plan.ground.hazards.map((hazard) => hazard.id),
  );
}
