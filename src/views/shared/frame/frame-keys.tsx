'use client';
import { useEffect, useState, type ComponentType } from 'react';
import { withAngleName } from '@/ui/units/shown';
import { viewTitle, viewUrl } from '@/views/views';
import type { CommandsProps } from './commands';
import { FRAME_ID } from './frame-id';

const isTyped = (target: EventTarget | null) =>
  target instanceof HTMLInputElement || target instanceof HTMLTextAreaElement;

/** The name of the declination's place, as the person calls it. */
function nameDeclination(): void {
  const path = viewUrl('declination');
  const name = document.querySelector(`#${FRAME_ID} [data-place="${path}"] span`);
  if (name) name.textContent = withAngleName(viewTitle('declination'));
}

/** The keys of the frame, and its settings. The log has keys of its own. */
export function FrameKeys() {
  const [shows, setShows] = useState<CommandsProps['shows'] | null>(null);
  const [loaded, setLoaded] = useState<{ Commands: ComponentType<CommandsProps> } | null>(null);
  const isWanted = shows !== null && loaded === null;
  useEffect(() => {
    // Loaded with the first key: no page begins with it.
    if (isWanted) void import('./commands').then(setLoaded);
  }, [isWanted]);
  useEffect(nameDeclination);
  useEffect(() => {
    const onClick = ({ target }: MouseEvent) => {
      if (target instanceof Element && target.closest('[data-settings]')) setShows('settings');
    };
    document.addEventListener('click', onClick);
    return () => document.removeEventListener('click', onClick);
  }, []);
  useEffect(() => {
    const onKeyDown = (event: KeyboardEvent) => {
      if (location.pathname === viewUrl('outing')) return;
      if (event.altKey || document.querySelector('[role=dialog]')) return;
      const isChord = event.ctrlKey || event.metaKey;
      if (isChord && event.key.toLowerCase() === 'k') setShows('places');
      else if (!isChord && event.key === '?' && !isTyped(event.target)) setShows('keys');
      else return;
      event.preventDefault();
    };
    window.addEventListener('keydown', onKeyDown);
    return () => window.removeEventListener('keydown', onKeyDown);
  }, []);
  return shows && loaded && <loaded.Commands shows={shows} onClose={() => setShows(null)} />;
}
