/**
 * Before a new version takes over, the tabs agree: one asks, the others say that they are there,
 * and then that they are ready. A tab with an open dialog isn't, until the person says so.
 */
type Message =
  | { readonly kind: 'ask'; readonly from: string }
  | { readonly kind: 'here' | 'ready' | 'gone'; readonly from: string };

const CHANNEL = 'cairn-version';
/** A tab that is there says so at once; one that is asleep is not waited for. */
const ANSWER_MS = 800;

/** What the asking tab knows of the others. */
export interface Agreement {
  /** How many tabs are still busy. */
  readonly busy: number;
}

/** True while something is open that a reload would close. */
export const isBusy = (): boolean =>
  [...document.querySelectorAll<HTMLElement>('.ant-modal-wrap, .ant-drawer-open')].some(
    (open) => open.checkVisibility?.() ?? open.offsetParent !== null,
  );

/** One tab's part in the agreement. */
export class VersionChannel {
  private readonly channel = new BroadcastChannel(CHANNEL);
  private readonly id = crypto.randomUUID();
  private readonly others = new Map<string, boolean>();
  private asking: ((agreement: Agreement) => void) | null = null;

  constructor(private readonly onAsked: () => void) {
    this.channel.addEventListener('message', ({ data }: MessageEvent<Message>) => this.hear(data));
    addEventListener('pagehide', this.leave);
  }

  /** Asks the other tabs; calls back now and whenever one answers. */
  ask(onAgreement: (agreement: Agreement) => void): void {
    this.others.clear();
    this.asking = null;
    this.post({ kind: 'ask', from: this.id });
    setTimeout(() => {
      this.asking = onAgreement;
      this.tell();
    }, ANSWER_MS);
  }

  /** Says that this tab may be loaded again. */
  readonly ready = (): void => this.post({ kind: 'ready', from: this.id });

  close(): void {
    this.leave();
    removeEventListener('pagehide', this.leave);
    this.channel.close();
  }

  private readonly leave = (): void => this.post({ kind: 'gone', from: this.id });

  private post(message: Message): void {
    this.channel.postMessage(message);
  }

  private hear(message: Message): void {
    switch (message.kind) {
      case 'ask':
        this.post({ kind: 'here', from: this.id });
        if (isBusy()) this.onAsked();
        else this.ready();
        return;
      case 'here':
        this.others.set(message.from, this.others.get(message.from) ?? false);
        return this.tell();
      case 'ready':
        this.others.set(message.from, true);
        return this.tell();
      case 'gone':
        this.others.delete(message.from);
        return this.tell();
    }
  }

  private tell(): void {
    this.asking?.({ busy: [...this.others.values()].filter((ready) => !ready).length });
  }
}
