/** Every page inside a job stands in what is known of it. */
import { Outlet, useParams } from 'react-router';
import { BenchProvider } from './BenchProvider';

export function JobPages() {
  const { jobId } = useParams();
  return (
    <BenchProvider key={jobId} jobId={jobId!}>
      <Outlet />
    </BenchProvider>
  );
}
