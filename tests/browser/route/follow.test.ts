import { describe, expect, it } from 'vitest';
import { tap } from '../../support/browser/tap';
import { PHONE, Visitor } from '../../support/browser/visitor';

/** The phone at the dock with the demo route, started. */
async function setOut(): Promise<Visitor> {
  const visitor = await Visitor.arrive(PHONE);
  await visitor.goto('route');
  await visitor.workerInstalled();
  await visitor.pick('Open the demo route');
  await visitor.reads('main', /Gauge 2.*Esker top.*Gauge 3/s);
  await visitor.pick('Start a new outing on it');
  await visitor.reads('[data-testid=following]', /Next: Gauge 2/);
  return visitor;
}

const NEXT = '[data-testid=next-way]';

describe('following a route', () => {
  it('counts to a point, makes a detour, and goes on offline after a reload', async () => {
    const visitor = await setOut();
    const { page } = visitor;
    await page.setOfflineMode(true);
    await page.reload();
    await visitor.reads(NEXT, /Set 081° magnetic. Walk 547 m: 355 paces/);
    await visitor.pick('Count to it');
    await visitor.reads('[data-testid=target]', /To Gauge 2: 547 m/);
    await visitor.reads('[data-testid=route-ahead]', /spring on your right, in about 137 paces/);
    // Hundreds of metres at a tap: past the spring, the trail, the point and the fen pool.
    await visitor.press('What counts, sound, sensors');
    await visitor.choose('100 m');
    await tap(visitor, 3);
    await visitor.reads('[data-testid=counted-metres]', /300 m/);
    await visitor.reads('[data-testid=route-ahead]', /trail over the line, in about 52 paces/);
    // A killed tab loses nothing.
    await page.reload();
    await visitor.reads('[data-testid=counted-metres]', /300 m/);
    await visitor.press('What counts, sound, sensors');
    await visitor.choose('100 m');
    await tap(visitor, 4);
    await visitor.reads('main', /You may be at the fen pool: too far/);
    await visitor.press('Undo');
    await visitor.press('Undo');
    await visitor.pick('I am at Gauge 2');
    await visitor.reads('main', /To Esker top/);

    // Off the line: a leg of a detour, logged as any other.
    await visitor.choose('The route');
    await visitor.reads('[data-testid=following]', /Next: Esker top/);
    await visitor.reads('[data-testid=following]', /Gauge 2062 T 547 m/);
    await visitor.pick('Key it in');
    await page.waitForSelector('[data-keypad]');
    await visitor.reads('main', /352/);
    await page.goBack();
    await visitor.reads('[data-testid=following]', /Next: Esker top/);
    await visitor.choose('Open the log');
    await visitor.page.waitForSelector('[data-testid=home-sentence]');
    const text = await visitor.text('main');
    // Which way the leg should go was logged before it.
    expect(text).toMatch(/The next leg should go roughly NE/);
    await visitor.leave();
  });

  it('tells how far off the line one is, plans again from there, and reaches the end', async () => {
    const visitor = await setOut();
    const { page } = visitor;
    const outing = new URL(page.url()).searchParams.get('outing')!;
    const address = page.url();
    await visitor.goto('outing', outing);
    await visitor.log('081 200m');
    await visitor.log('171 80m');
    await page.goto(address);
    await visitor.reads('[data-testid=off-line]', /(79|80) m right of the planned line/);
    await visitor.reads(NEXT, /Set 06\d° magnetic. Walk 35\d m/);
    for (const name of ['Gauge 2', 'Esker top', 'Gauge 3', 'Gauge 5', 'Dock']) {
      await visitor.reads('[data-testid=following]', new RegExp(`Next: ${name}`));
      await visitor.pick(`I am at ${name}`);
    }
    await visitor.reads('[data-testid=following]', /You are at the end of the route/);

    await visitor.goto('route', 'demo-plateau');
    await visitor.pick('Start a new outing on it');
    await visitor.reads('[data-testid=following]', /Next: Gauge 2/);
    await visitor.pick('I am at Gauge 2');
    await visitor.reads('[data-testid=following]', /Next: Esker top/);
    await visitor.pick('Plan again from here');
    // The outing in hand goes on with the new plan; home is where it was.
    await visitor.reads('main', /Start: Here/);
    await visitor.reads('[data-testid=following]', /Next: Esker top/);
    const again = new URL(page.url()).searchParams;
    await visitor.goto('route', again.get('id')!);
    await visitor.choose('Go on following in');
    await visitor.reads('[data-testid=following]', /Next: Esker top/);
    await visitor.goto('outing', again.get('outing')!);
    await visitor.reads('[data-testid=home-sentence]', /to Dock/);
    await visitor.reads('#pane-log', /Route from here: “Gauges from the map”/);
    await visitor.leave();
  });

  it('goes on in the outing in hand, whose home stays home', async () => {
    const visitor = await Visitor.arrive();
    await visitor.store(['start Hut at 54.2 -63.49', 'declination 19 W', '270 100m']);
    await visitor.goto('route');
    await visitor.pick('Open the demo route');
    await visitor.reads('main', /Start: Dock/);
    // No outing was looked at yet: there is none to follow it in.
    expect(await visitor.text('main')).not.toMatch(/Follow it in/);
    const route = visitor.page.url();
    await visitor.goto('outing', 'test-1');
    await visitor.page.waitForSelector('[data-testid=home-sentence]');
    await visitor.page.goto(route);
    await visitor.pick('Follow it in “Test”, from where I am');
    await visitor.reads('[data-testid=following]', /Next: Dock/);
    await visitor.reads('[data-testid=following]', /Walk \d{3} m/);
    await visitor.goto('outing', 'test-1');
    await visitor.reads('[data-testid=home-sentence]', /Walk 100 m, .* to Hut/);
    await visitor.leave();
  });
});
