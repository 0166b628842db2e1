/** A run under an old wall: the wall, its bays and the passes they are dug in. */
import { chakra } from '@chakra-ui/react';
import { axisLength, baysOf, nextName, startOf, type Takeoff, type Underpin, WAYS_OUT } from '@cimiento/core';
import type { FC } from 'react';
import { useTranslation } from '../../messages/useTranslation.ts';
import { useDesk } from '../../state/store.ts';
import { useTakeoff } from '../../state/takeoff.ts';
import { Button, Select, Small } from '../../ui/controls.tsx';
import { useFormat } from '../../ui/format.tsx';
import { NameRow } from '../../ui/NameRow.tsx';
import { TextField } from '../../ui/TextField.tsx';
import { bayList } from '../../ui/words.ts';
import { Fact, PlanField, Toggle } from '../fields.tsx';
import { newWall } from './oldWall.ts';
import { type Own, pathOf, usePut } from './own.ts';

const WALL = ['underside', 'thickness', 'inside', 'access', 'gap'] as const;

export const UnderpinFields: FC<Own<Underpin>> = (own) => {
  const { t } = useTranslation();
  const put = usePut(own);
  const system = useDesk((desk) => desk.plan.system);
  const info = useTakeoff().elements[own.index];
  const { element } = own;
  const path = pathOf(own);
  return (
    <>
      <Toggle
        label={t('underpin.old')}
        on={element.old !== null}
        onChange={(on) =>
          put((e) => {
            e.old = on ? newWall(system, info) : null;
          })
        }
      />
      {element.old && WALL.map((key) => <PlanField key={key} path={`${path}/old/${key}`} />)}
      {element.old && <PlanField label={t('underpin.newUnderside')} path={`${path}/level`} optional />}
      <PlanField label={t('dig.width')} path={`${path}/width`} />
      {!element.old && <PlanField label={t('dig.thickness')} path={`${path}/thickness`} />}
      <PlanField hint={t('dig.bayHint')} path={`${path}/bay`} />
      <BayPasses run={axisLength(element)} longest={element.bay} />
      {info?.bays && <BayWork bays={info.bays} />}
      <WayOutFields {...own} />
      <PostFields {...own} />
    </>
  );
};

/** How soil gets out from under the house. */
function WayOutFields(own: Own<Underpin>) {
  const { t } = useTranslation();
  const put = usePut(own);
  const { out } = own.element;
  const path = pathOf(own);
  const system = useDesk((desk) => desk.plan.system);
  return (
    <>
      <label>
        <Small as="span">{t('underpin.out')}</Small>
        <Select
          value={out?.by ?? ''}
          onChange={({ target }) =>
            put((e) => {
              const by = WAYS_OUT.find((way) => way === target.value);
              e.out = by
                ? {
                    by,
                    distance: out?.distance ?? startOf('/elements/*/out/distance', system),
                    bin: out?.bin ?? startOf('/elements/*/out/bin', system),
                  }
                : null;
            })
          }
        >
          <option value="">–</option>
          {WAYS_OUT.map((way) => (
            <option key={way} value={way}>
              {t(`underpin.ways.${way}`)}
            </option>
          ))}
        </Select>
      </label>
      {out && <PlanField path={`${path}/out/distance`} />}
      {out?.by === 'bins' && <PlanField path={`${path}/out/bin`} />}
    </>
  );
}

/** Posts and props that stand meanwhile, by whose word. */
function PostFields(own: Own<Underpin>) {
  const { t } = useTranslation();
  const put = usePut(own);
  const { posts } = own.element;
  return (
    <>
      {posts.map((post, i) => (
        <div key={post.id} data-post={post.id}>
          <NameRow
            label={t('underpin.posts')}
            name={post.name}
            rename={(name) =>
              put((e) => {
                e.posts[i]!.name = name;
              }, `post:${post.id}`)
            }
            removeLabel={t('underpin.removePost', { name: post.name })}
            remove={() =>
              put((e) => {
                e.posts.splice(i, 1);
              })
            }
          />
          <TextField
            label={t('underpin.postBy')}
            value={post.by}
            maxLength={120}
            onChange={({ target }) =>
              put((e) => {
                e.posts[i]!.by = target.value;
              }, `postBy:${post.id}`)
            }
          />
        </div>
      ))}
      <Button
        size="sm"
        disabled={posts.length >= 60}
        onClick={() =>
          put((e) => {
            const id = nextName(
              'post-',
              e.posts.map((post) => post.id),
            );
            e.posts.push({ id, name: id, by: '' });
          })
        }
      >
        {t('underpin.addPost')}
      </Button>
    </>
  );
}

type Info = Takeoff['elements'][number];

/** Bays of an underpinned run and the passes they are dug in. */
function BayPasses({ run, longest }: { run: number; longest: number }) {
  const { t } = useTranslation();
  const format = useFormat();
  const { count, length, passes } = baysOf(run, longest);
  return (
    <>
      <Fact
        label={t('dig.bays', { count })}
        note={passes.map(bayList).join(' · ')}
        value={format.text(length, 'length')}
      />
      <Small>{t('dig.bayNote')}</Small>
    </>
  );
}

const Table = chakra('table', {
  base: {
    w: 'full',
    fontSize: 'sm',
    '& caption': { textAlign: 'left', color: 'soft', pb: 1 },
    '& th': { fontWeight: 500, textAlign: 'left' },
    '& thead th': { textAlign: 'right', color: 'soft', pl: 2 },
    '& td': { textAlign: 'right', fontFamily: 'figure', fontWeight: 600, pl: 2 },
  },
});

/** What one bay takes, and every pass. */
function BayWork({ bays: { each, passes } }: { bays: NonNullable<Info['bays']> }) {
  const { t } = useTranslation();
  const format = useFormat();
  const rows = [
    ['soil', each.soil],
    ['pit', each.access],
    ['concrete', each.concrete],
    ['pack', each.pack],
  ] as const;
  const volume = (v: number) => format.parts(v, 'volume', { decimals: 2 }).number;
  return (
    <Table data-bays>
      <caption>{`${t('underpin.table')}, ${format.parts(1, 'volume').unit}`}</caption>
      <thead>
        <tr>
          <td />
          <th scope="col">{t('underpin.each')}</th>
          {passes.map((pass, i) => (
            <th key={pass[0]} scope="col" aria-label={t('underpin.pass', { n: i + 1 })}>
              {i + 1}
            </th>
          ))}
        </tr>
      </thead>
      <tbody>
        {rows.map(([key, value]) => (
          <tr key={key}>
            <th scope="row">{t(`underpin.${key}`)}</th>
            <td>{volume(value)}</td>
            {passes.map((pass) => (
              <td key={pass[0]}>{volume(value * pass.length)}</td>
            ))}
          </tr>
        ))}
      </tbody>
    </Table>
  );
}
