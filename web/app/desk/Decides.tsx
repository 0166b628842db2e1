/** What decides the depth of the thing picked: every rule, its level, and how far to the next. */
import { useTranslation } from '../messages/useTranslation.ts';
import { Panel } from '../stages/fields.tsx';
import { useLookedAt, useShownPlan } from '../state/takeoff.ts';
import { useFormat } from '../ui/format.tsx';

/** Where the stage itself ranks the rules. */
export const Decides = () => <DecidesOf ranked />;
export const DecidesUnranked = () => <DecidesOf ranked={false} />;

function DecidesOf({ ranked }: { ranked: boolean }) {
  const { t } = useTranslation();
  const format = useFormat();
  const plan = useShownPlan();
  const info = useLookedAt();
  const element = plan.elements.find((e) => e.id === info?.id);
  if (!info?.decision || !element) return null;
  const { decision } = info;
  return (
    <Panel title={t('decides.title')} aside={t('decides.of', { name: element.name })}>
      <div className="decides" data-decides>
        <strong>{decision.governs && t(`decides.${decision.governs}`)}</strong>
        <p>{t('decides.underside', { level: format.text(info.underside, 'level') })}</p>
      </div>
      <details>
        <summary>{t(ranked ? 'decides.because' : 'decides.why')}</summary>
        <p>
          {decision.next &&
            decision.margin !== null &&
            t(decision.margin >= 0 ? 'decides.margin' : 'decides.above', {
              rule: t(`rule.${decision.next}`),
              margin: format.text(Math.abs(decision.margin), 'size'),
            })}
        </p>
        <p>
          {info.formation < info.underside
            ? t('decides.formation', {
                level: format.text(info.formation, 'level'),
                bed: info.bed?.name ?? '',
              })
            : t('decides.bare')}
        </p>
        {!ranked && (
          <table className="ranked">
            <tbody>
              {decision.candidates.map((candidate) => (
                <tr key={candidate.rule}>
                  <th scope="row">{t(`rule.${candidate.rule}`)}</th>
                  <td>{format.text(candidate.level, 'level')}</td>
                </tr>
              ))}
            </tbody>
          </table>
        )}
      </details>
    </Panel>
  );
}
