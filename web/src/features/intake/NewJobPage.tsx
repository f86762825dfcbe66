/** A new job in three short forms: whose, which quad, what is to be done. Each can be found or made. */
import { useState } from 'react';
import { jobPlaces } from '../../addresses';
import { useNavigate } from 'react-router';
import { Head } from '../../ui/Head';
import { CustomerForm } from './CustomerForm';
import { JobForm } from './JobForm';
import { QuadForm } from './QuadForm';

interface Named {
  id: string;
  name: string;
}

export function NewJobPage() {
  const navigate = useNavigate();
  const [customer, setCustomer] = useState<Named | null>(null);
  const [quad, setQuad] = useState<Named | null>(null);
  const head = <Head title={['new job', customer?.name, quad?.name].filter(Boolean).join(', ')} />;
  if (!customer) return <CustomerForm head={head} onDone={setCustomer} />;
  if (!quad) return <QuadForm head={head} customer={customer} onDone={setQuad} />;
  return <JobForm head={head} quad={quad} onDone={(jobId) => void navigate(jobPlaces(jobId).intake)} />;
}
