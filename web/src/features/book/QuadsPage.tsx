/** Find a quad by the first letters of its name. */
import { useState } from 'react';
import { places } from '../../addresses';
import { Link } from 'react-router';
import styled from 'styled-components';
import { useQuads } from '../../api/queries';
import { Head } from '../../ui/Head';
import { WordsField } from '../../ui/form';

const Page = styled.main`
  h1 {
    font-size: 34px;
    font-weight: 400;
    padding: 8px 24px;
  }
  section {
    padding: 0 24px;
    max-width: 900px;
  }
  li {
    padding: 8px 0;
    font-size: 20px;
    border-bottom: 1px solid ${({ theme }) => theme.edge};
  }
  ul {
    padding-top: 14px;
  }
  span {
    color: ${({ theme }) => theme.quiet};
  }
`;

export function QuadsPage() {
  const [typed, setTyped] = useState('');
  const quads = useQuads(typed.trim());
  return (
    <Page>
      <Head title="quad books" />
      <h1>Whose book is wanted?</h1>
      <section>
        <div onInput={(event) => setTyped((event.target as HTMLInputElement).value)}>
          <WordsField name="q" label="First letters of the quad’s name" autoFocus />
        </div>
        <ul aria-label="Quads">
          {(quads.data ?? []).map(({ id, name, customer, openJobId }) => (
            <li key={id}>
              <Link to={places.quadBook(id)}>{name}</Link>{' '}
              <span>
                {customer}
                {openJobId ? ', open job' : ''}
              </span>
            </li>
          ))}
          {quads.data?.length === 0 && <li>No quad begins like that.</li>}
        </ul>
      </section>
    </Page>
  );
}
