/** Strings beside the job's own, each with its level. */
import { Box } from '@chakra-ui/react';
import { nextName } from '@cimiento/core';
import { useTranslation } from '../../messages/useTranslation.ts';
import { useDesk, useDeskStore } from '../../state/store.ts';
import { Button } from '../../ui/controls.tsx';
import { NameRow } from '../../ui/NameRow.tsx';
import { Panel, PlanField } from '../fields.tsx';

export function StringsPanel() {
  const { t } = useTranslation();
  const store = useDeskStore();
  const strings = useDesk((desk) => desk.plan.levels.strings);
  const { edit } = store.getState();
  return (
    <Panel fold="shut" title={t('strings.title')} aside={String(strings.length + 1)}>
      {strings.map((string, i) => (
        <Box key={string.id} data-string={string.id}>
          <NameRow
            label={t('strings.name')}
            name={string.name}
            rename={(name) =>
              edit((d) => {
                d.levels.strings[i]!.name = name;
              }, `string-name:${string.id}`)
            }
            removeLabel={t('strings.remove', { name: string.name })}
            remove={() =>
              edit((d) => {
                d.levels.strings = d.levels.strings.filter((one) => one.id !== string.id);
                for (const floor of d.levels.floors) if (floor.string === string.id) floor.string = null;
                for (const element of d.elements) if (element.string === string.id) element.string = null;
              })
            }
          />
          <PlanField path={`/levels/strings/${i}/level`} />
        </Box>
      ))}
      {strings.length < 8 && (
        <Button
          onClick={() =>
            edit((d) => {
              const id = nextName(
                'string-',
                d.levels.strings.map((one) => one.id),
              );
              d.levels.strings.push({
                id,
                name: t('strings.first', { n: d.levels.strings.length + 2 }),
                level: d.levels.string,
              });
            })
          }
        >
          {t('strings.add')}
        </Button>
      )}
    </Panel>
  );
}
