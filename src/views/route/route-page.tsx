'use client';
import { figureUnits } from '@/ui/units/shown';
import { Radio } from 'antd';
import { useState, type ComponentProps } from 'react';
import { faultMessage } from '@/core/faults/messages';
import type { Route } from '@/core/model/route';
import { arrivalMinutes, clockText } from '@/core/navigation/route/clock';
import { leaveText } from '@/core/navigation/route/leave-text';
import { gridName, shownScale, type Plan } from '@/core/navigation/route/plan';
import type { WalkedOn } from '@/sketch/layers/plan';
import { STORE_MESSAGES } from '@/ui/store-messages';
import { PressButton } from '@/ui/controls/press-button';
import { BACK_TO_OUTINGS, ViewPage } from '@/views/shared/page/view-page';
import { canShare, share } from '@/views/shared/data/save-file';
import { LegList } from './card/leg-list';
import { PrintCard, type Paper } from './card/print-card';
import { HeadForm } from './forms/head-form';
import { HeightsForm } from './forms/heights-form';
import { LegForm } from './forms/leg-form';
import { PointForm } from './forms/point-form';
import { TextForm } from './forms/text-form';
import { withGrid, withLeg, withPoint, withPointAfter } from './route-changes';
import { RouteDrawing } from './route-drawing';
import { RouteTools } from './route-tools';
import styles from './route.module.css';
import type { OpenRoute } from './use-route';
import { WORDS } from './words';

/** What is worked on beside the card. */
type Room = (typeof ROOMS)[number];

interface Props {
  open: OpenRoute;
  /** The outing that follows the route, where there is one: its panel, and what was walked. */
  following?: React.ReactNode;
  walked?: WalkedOn | null;
}

/** The route as a card on one side, and what changes it on the other. */
export function RoutePage({ open, following, walked = null }: Props) {
  const { route, plan } = open;
  const [chosen, setChosen] = useState<number | null>(null);
  const [room, setRoom] = useState<Room>('point');
  const [after, setAfter] = useState<number | null>(null);
  const [paper, setPaper] = useState<Paper>('A4');
  return (
    <ViewPage view="route" back={BACK_TO_OUTINGS} about={route.name || WORDS.untitled} plain>
      <div className={styles.screen}>
        {open.fault && <p role="alert">{STORE_MESSAGES[open.fault]}</p>}
        <div className={styles.columns}>
          <div className={styles.sheet}>
            {following}
            <Card
              open={open}
              chosen={chosen}
              onChoose={setChosen}
              onEdit={(number) => {
                setChosen(number);
                setRoom('leg');
              }}
              onAddAfter={(number) => {
                setAfter(number);
                setRoom('point');
              }}
              paper={paper}
              onPaper={setPaper}
              isFollowed={following !== undefined}
            />
            <p className={styles.soft}>{WORDS.caution}</p>
          </div>
          <div className={styles.sheet}>
            {plan.ok && (
              <RouteDrawing
                plan={plan.value}
                walked={walked}
                chosen={chosen}
                onChoose={setChosen}
              />
            )}
            <Rooms
              open={open}
              room={room}
              onRoom={setRoom}
              chosen={chosen}
              after={after}
              onAdded={() => setAfter(null)}
            />
          </div>
        </div>
      </div>
      {plan.ok && <PrintCard plan={plan.value} paper={paper} />}
    </ViewPage>
  );
}

interface CardProps extends Omit<ComponentProps<typeof LegList>, 'plan'> {
  isFollowed: boolean;
  paper: Paper;
  onPaper: (paper: Paper) => void;
}

/** The legs and what is done with them; or the point at which the plan stops. */
function Card({ open, paper, onPaper, isFollowed, ...list }: CardProps) {
  const { plan, route } = open;
  if (plan.ok) {
    return (
      <>
        <Totals open={open} plan={plan.value} />
        <LegList open={open} plan={plan.value} {...list} />
        <RouteTools
          open={open}
          plan={plan.value}
          isFollowed={isFollowed}
          paper={paper}
          onPaper={onPaper}
        />
      </>
    );
  }
  const { point, fault } = plan.fault;
  return (
    <p role="alert" className={styles.warning}>
      {point !== null && `${route.points[point]?.name}: `}
      {faultMessage(fault)}
    </p>
  );
}

/** The whole route in a sentence, and what holds for all of it. */
function Totals({ open: { warnings, sunset }, plan }: { open: OpenRoute; plan: Plan }) {
  const { legs, metres, minutes, upMetres, downMetres } = plan;
  const end = arrivalMinutes(plan, minutes);
  const scale = shownScale(plan);
  const whole = warnings.filter(({ leg }) => leg === null);
  return (
    <div data-testid="totals">
      {legs.length > 0 && (
        <p className={styles.total}>
          {[
            WORDS.sum(legs.length, metres, minutes),
            upMetres + downMetres > 0 && WORDS.climb(upMetres, downMetres),
            end !== null && WORDS.arrival(clockText(end)),
            sunset !== null && WORDS.sunset(clockText(sunset)),
          ]
            .filter(Boolean)
            .join(', ')}
          .
        </p>
      )}
      {whole.map(({ code, message }) => (
        <p key={message} className={styles.warning} data-code={code}>
          {message}
        </p>
      ))}
      {scale !== null && <p className={styles.soft}>{WORDS.scale((1 / scale).toFixed(4))}</p>}
    </div>
  );
}

interface RoomsProps {
  open: OpenRoute;
  room: Room;
  onRoom: (room: Room) => void;
  chosen: number | null;
  after: number | null;
  onAdded: () => void;
}

const ROOMS = ['point', 'leg', 'heights', 'head', 'text', 'leave'] as const;

/** What changes the route: one thing at a time. */
function Rooms(props: RoomsProps) {
  const { room, onRoom } = props;
  return (
    <>
      <Radio.Group
        className={styles.rooms}
        optionType="button"
        aria-label={WORDS.rooms}
        value={room}
        options={ROOMS.map((value) => ({ value, label: WORDS.tabs[value] }))}
        onChange={({ target }) => onRoom(target.value as Room)}
      />
      <OneRoom {...props} />
    </>
  );
}

function OneRoom({ open, room, chosen, after, onAdded }: RoomsProps) {
  const { route, actions, state, plan } = open;
  const save = (changed: Route) => void actions.change(() => changed);
  switch (room) {
    case 'point': {
      const last = after ?? route.points.length - 1;
      return (
        <PointForm
          key={`after ${after} ${route.id}`}
          from={route.points[last] ?? null}
          edited={null}
          onSave={async (point, grid) => {
            const outcome = await actions.change((each) =>
              withGrid(withPointAfter(each, last, point), grid),
            );
            if (after !== null) onAdded();
            return outcome.kind === 'saved';
          }}
        />
      );
    }
    case 'leg':
      return <ChosenLeg key={`${chosen} ${state.number}`} open={open} chosen={chosen} />;
    case 'head':
      return <HeadForm key={state.number} route={route} onSave={save} />;
    case 'text':
      return <TextForm key={state.number} route={route} onSave={save} />;
    case 'heights':
      return plan.ok ? (
        <HeightsForm
          plan={plan.value}
          onChange={async (change) => (await actions.change(change)).kind === 'saved'}
        />
      ) : null;
    case 'leave':
      return plan.ok ? <Leave plan={plan.value} sunset={open.sunset} /> : null;
  }
}

/** The point that is chosen, and what is planned for the leg to it. */
function ChosenLeg({ open, chosen }: { open: OpenRoute; chosen: number | null }) {
  const { route, actions } = open;
  const point = chosen === null ? undefined : route.points[chosen];
  if (chosen === null || !point) return <p>{WORDS.chooseLeg}</p>;
  const from = route.points[chosen - 1] ?? null;
  const grounds = route.paces.flatMap(({ ground }) => (ground === undefined ? [] : [ground]));
  return (
    <>
      {from && (
        <>
          <h2 className={styles.total}>{WORDS.legOf(from.name, point.name)}</h2>
          <LegForm
            leg={point.leg ?? {}}
            grounds={grounds}
            onSave={(leg) => void actions.change((each) => withLeg(each, chosen, leg))}
          />
        </>
      )}
      <details className={styles.details}>
        <summary>{point.name}</summary>
        <PointForm
          from={from}
          edited={point}
          onSave={async (changed) =>
            (await actions.change((each) => withPoint(each, chosen, changed))).kind === 'saved'
          }
        />
      </details>
    </>
  );
}

/** The plan as text, to leave with someone. */
function Leave({ plan, sunset }: { plan: Plan; sunset: number | null }) {
  const [said, setSaid] = useState('');
  const text = leaveText(plan, sunset, figureUnits());
  const copy = async () => {
    await navigator.clipboard.writeText(text);
    setSaid(WORDS.copied);
  };
  return (
    <>
      <pre className={styles.leave} data-testid="leave">
        {text}
      </pre>
      <div className={styles.row}>
        <PressButton onClick={() => void copy()}>{WORDS.copy}</PressButton>
        {canShare() && (
          <PressButton
            onClick={() => void share('route.txt', new Blob([text], { type: 'text/plain' }))}
          >
            {WORDS.share}
          </PressButton>
        )}
        <span role="status">{said}</span>
      </div>
      {gridName(plan) && <p className={styles.soft}>{WORDS.gridOf(gridName(plan) ?? '')}</p>}
    </>
  );
}
