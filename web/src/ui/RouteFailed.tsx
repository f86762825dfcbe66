/** A page that failed: what went wrong, that nothing recorded is lost, and the ways on. */
import { isRouteErrorResponse, useNavigate, useRouteError } from 'react-router';
import { places } from '../addresses';
import { Sheet } from './Sheet';

export function RouteFailed() {
  const error = useRouteError();
  const navigate = useNavigate();
  return (
    <Sheet
      place="this page failed"
      title="This page cannot be shown"
      note="What was recorded is kept, and what was typed into forms comes back with them."
      go={(to) => void navigate(to)}
      doors={[
        { key: 'Enter', label: 'Try it again', act: () => window.location.reload() },
        { key: '-', label: 'Back', act: () => void navigate(-1) },
        { key: 'f', label: 'Floor', to: places.floor },
      ]}
    >
      <section role="alert">▲ {wordsOf(error)}</section>
    </Sheet>
  );
}

function wordsOf(error: unknown): string {
  if (isRouteErrorResponse(error)) return `${error.status}: ${error.statusText}`;
  const message = error instanceof Error ? error.message : String(error);
  // A part of the program that has not been fetched yet, and cannot be now.
  return /dynamically imported module|Failed to fetch/.test(message)
    ? 'This page has not been fetched yet, and the server does not answer now.'
    : message;
}
