/** The one outbox of a page: of whoever is signed in when the page comes. */
import { useEffect, useMemo } from 'react';
import { useRouteLoaderData } from 'react-router';
import { useStore } from 'zustand';
import type { loader as rootLoader } from '../root.tsx';
import { sendLater } from '../state/offline.ts';
import { type Outgoing, Sender } from './sender.ts';

let only: Sender | null = null;
/** Another person's page begins another. */
function senderOf(person: string, program: string): Sender {
  if (only?.person !== person) only = new Sender(person, program);
  return only;
}

/** The outbox of the person a page was made for. */
export function useSender(person: string): Sender {
  const program = useRouteLoaderData<typeof rootLoader>('root')?.program ?? '';
  const sender = useMemo(() => senderOf(person, program), [person, program]);
  useEffect(() => {
    const wake = () => void sender.wake();
    const look = () => document.visibilityState === 'visible' && wake();
    // What is in this page only goes with it.
    const closing = (event: BeforeUnloadEvent) => {
      if (sender.state.getState().unkept.length > 0) event.preventDefault();
    };
    wake();
    // With no page open the browser itself sends it, where it can.
    const stop = sender.state.subscribe(({ waiting }, before) => {
      if (waiting.length > before.waiting.length) void sendLater();
    });
    addEventListener('online', wake);
    addEventListener('beforeunload', closing);
    document.addEventListener('visibilitychange', look);
    return () => {
      stop();
      removeEventListener('online', wake);
      removeEventListener('beforeunload', closing);
      document.removeEventListener('visibilitychange', look);
    };
  }, [sender]);
  return sender;
}

export const useOutgoing = <T>(sender: Sender, select: (state: Outgoing) => T): T =>
  useStore(sender.state, select);
