/**
 * The shop: whoever is signed in sees the place that the address names; anybody else signs in first and is there then.
 */
import { Suspense } from 'react';
import { Outlet } from 'react-router';
import { useSession } from '../../api/session';
import { Notice } from '../../ui/Notice';
import { SignInPage } from './SignInPage';

export function Shop() {
  const session = useSession();
  if (session.isPending) return <Notice title="One moment">Looking who is at this tablet.</Notice>;
  if (session.error && !session.data)
    return (
      <Notice title="The server does not answer">It is tried again. What this tablet has recorded is kept here.</Notice>
    );
  if (!session.data) return <SignInPage />;
  return (
    <Suspense fallback={<Notice title="One moment">The page is being fetched.</Notice>}>
      <Outlet />
    </Suspense>
  );
}
