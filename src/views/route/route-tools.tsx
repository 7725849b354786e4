import { Select } from 'antd';
import { useState } from 'react';
import { outingOfRoute } from '@/core/navigation/route/follow';
import type { Plan } from '@/core/navigation/route/plan';
import { ROUTE_FORMATS } from '@/formats/route';
import type { RouteFormat } from '@/formats/route/route-format';
import { fileName } from '@/formats/zip';
import { addOuting } from '@/store/outings';
import { Menu } from '@/ui/controls/menu';
import { PressButton } from '@/ui/controls/press-button';
import { browserDatabase, leaveFor } from '@/store/browser-database';
import { save } from '@/views/shared/data/save-file';
import { useOnce } from '@/views/shared/data/use-once';
import { viewUrl } from '@/views/views';
import { PAPERS, type Paper } from './card/print-card';
import { FollowInHand } from './follow/in-hand';
import styles from './route.module.css';
import type { OpenRoute } from './use-route';
import { routeEditWords, WORDS } from './words';
import {
  DeleteDocument,
  documentSteps,
  PrintButton,
  UndoRedo,
} from '@/views/shared/page/document-page';

interface Props {
  open: OpenRoute;
  plan: Plan;
  /** True where the page shows an outing that follows it. */
  isFollowed: boolean;
  paper: Paper;
  onPaper: (paper: Paper) => void;
}

/** Stores an outing that follows the route, and opens the page that leads along it. */
async function startFollowing(plan: Plan) {
  const outing = outingOfRoute(plan, crypto.randomUUID());
  if (!outing) return;
  await addOuting(browserDatabase(), outing, new Date());
  void leaveFor(viewUrl('route', plan.route.id, { outing: outing.id }));
}

/** What is done with the route as a whole: start it, undo, print, export, delete. */
export function RouteTools(props: Props) {
  const { plan, isFollowed, paper, onPaper } = props;
  const { route, state, actions } = props.open;
  const [start, isStarting] = useOnce(() => startFollowing(plan));
  const [said, setSaid] = useState<string | null>(null);
  const exportAs = ({ write, fileEnding, mediaType }: RouteFormat) =>
    void save(
      `${fileName(route.name || WORDS.untitled)}${fileEnding}`,
      new Blob([write(plan, new Date().toISOString())], { type: `${mediaType};charset=utf-8` }),
    );
  return (
    <div className={styles.row}>
      {!isFollowed && <FollowInHand plan={plan} onSaid={setSaid} />}
      {said && <p role="alert">{said}</p>}
      <PressButton
        large
        disabled={plan.legs.length === 0}
        busy={isStarting}
        onClick={() => void start()}
      >
        {WORDS.startRoute}
      </PressButton>
      <PressButton large href={viewUrl('map', route.picture, { route: route.id })}>
        {WORDS.onMap}
      </PressButton>
      <PressButton large href={viewUrl('fix', undefined, { tab: 'orient' })}>
        {WORDS.orient}
      </PressButton>
      <UndoRedo {...documentSteps(state, actions, routeEditWords)} />
      <PrintButton label={WORDS.print} />
      <Select
        aria-label={WORDS.paper}
        value={paper}
        options={PAPERS.map((value) => ({ value, label: value }))}
        onChange={onPaper}
      />
      <Menu label={WORDS.export} bordered>
        {ROUTE_FORMATS.map((format) => (
          <PressButton key={format.name} look="plain" onClick={() => exportAs(format)}>
            {format.words}
          </PressButton>
        ))}
      </Menu>
      <DeleteDocument label={WORDS.remove} onDelete={() => void actions.discard()} />
    </div>
  );
}
