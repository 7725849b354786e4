import { Select } from 'antd';
import { useState } from 'react';
import type { RouteWarning } from '@/core/checks/route/route-check';
import type { RouteLeg } from '@/core/navigation/route/leg';
import type { Plan } from '@/core/navigation/route/plan';
import { COMPASS_POINTS, type CompassPoint } from '@/core/units/angle';
import { visibleText } from '@/core/units/visible';
import { PressButton } from '@/ui/controls/press-button';
import { ReversedBearing } from '@/views/outing/dialogs/reversed-bearing';
import type { OpenRoute } from '../use-route';
import styles from '../route.module.css';
import { movedPoint, withLeg, withoutPoint } from '../route-changes';
import { pointWords, WORDS } from '../words';
import { LegAbout, LegLine } from './leg-row';

interface Props {
  open: OpenRoute;
  plan: Plan;
  chosen: number | null;
  /** The point of a leg is chosen by its number; 0 is the start. */
  onChoose: (number: number | null) => void;
  onEdit: (number: number) => void;
  onAddAfter: (number: number) => void;
}

/** The route point by point, each with the leg that leads to it. */
export function LegList(props: Props) {
  const { open, plan, chosen, onChoose } = props;
  const [start] = plan.route.points;
  if (!start) return <p>{WORDS.empty}</p>;
  return (
    <ol className={styles.legs} aria-label={WORDS.legsOf} data-testid="legs-of-route">
      <li className={styles.leg}>
        <button
          type="button"
          className={styles.legHead}
          aria-expanded={chosen === 0}
          onClick={() => onChoose(chosen === 0 ? null : 0)}
        >
          <b>{WORDS.start(visibleText(start.name))}</b>
        </button>
        {chosen === 0 && <PointTools {...props} number={0} />}
      </li>
      {plan.legs.map((leg) => {
        const warnings = open.warnings.filter((each) => each.leg === leg.number);
        const isChosen = chosen === leg.number;
        return (
          <li key={leg.number} className={styles.leg}>
            <button
              type="button"
              className={styles.legHead}
              aria-expanded={isChosen}
              onClick={() => onChoose(isChosen ? null : leg.number)}
            >
              <span className={styles.legName}>
                <b>{WORDS.legTo(leg.number, visibleText(leg.to))}</b>
                {leg.isAttack && <small className={styles.soft}>{WORDS.attack}</small>}
                {warnings.length > 0 && <small className={styles.mark}>!</small>}
              </span>
              <LegLine plan={plan} leg={leg} />
            </button>
            {isChosen && (
              <>
                <LegAbout plan={plan} leg={leg} warnings={warnings} />
                <Confirm open={open} leg={leg} warnings={warnings} />
                <PointTools {...props} number={leg.number} />
              </>
            )}
          </li>
        );
      })}
      {plan.legs.length === 0 && <li>{WORDS.onePoint}</li>}
    </ol>
  );
}

/** The guard against 180°: the person says which way the leg goes, not the app. */
function Confirm({
  open,
  leg,
  warnings,
}: {
  open: OpenRoute;
  leg: RouteLeg;
  warnings: readonly RouteWarning[];
}) {
  const [shown, setShown] = useState(false);
  const { expect } = leg.plan;
  const choose = (point: CompassPoint | undefined) =>
    void open.actions.change((route) =>
      withLeg(route, leg.number, { ...leg.plan, expect: point && { ...expect, point } }),
    );
  return (
    <div className={styles.row}>
      <label htmlFor={`expect-${leg.number}`}>{WORDS.confirmAsk}</label>
      <Select
        id={`expect-${leg.number}`}
        className={styles.short}
        aria-label={WORDS.confirmAsk}
        allowClear
        showSearch={{ optionFilterProp: 'label' }}
        value={expect?.point ?? null}
        options={COMPASS_POINTS.filter((point) => point.length < 3).map((point) => ({
          value: point,
          label: `${point} ${pointWords(point)}`,
        }))}
        onChange={(point: CompassPoint | null | undefined) => choose(point ?? undefined)}
      />
      {warnings.some(({ code }) => code === 'other-way') && (
        <PressButton onClick={() => setShown(true)}>{WORDS.reversedWays}</PressButton>
      )}
      {shown && <ReversedBearing atMap onClose={() => setShown(false)} />}
    </div>
  );
}

function PointTools({
  open,
  plan,
  number,
  onEdit,
  onAddAfter,
  onChoose,
}: Props & { number: number }) {
  const last = plan.route.points.length - 1;
  const move = (by: 1 | -1) => {
    onChoose(number + by);
    void open.actions.change((route) => movedPoint(route, number, by, plan.positions));
  };
  return (
    <div className={styles.row}>
      <PressButton onClick={() => onEdit(number)}>{WORDS.editLeg}</PressButton>
      <PressButton onClick={() => onAddAfter(number)}>{WORDS.addAfter}</PressButton>
      <PressButton disabled={number === 0} onClick={() => move(-1)}>
        {WORDS.up}
      </PressButton>
      <PressButton disabled={number === last} onClick={() => move(1)}>
        {WORDS.down}
      </PressButton>
      <PressButton
        onClick={() => {
          onChoose(null);
          void open.actions.change((route) => withoutPoint(route, number, plan.positions));
        }}
      >
        {WORDS.removePoint}
      </PressButton>
    </div>
  );
}
