/** Which aircraft of the shop another one shall be like. */
import { useQuads } from '../../api/queries';
import { ChoiceField } from '../../ui/form';

export function OtherQuad({ not, onChoose }: { not: string; onChoose: (quadId: string | null) => void }) {
  const quads = (useQuads('').data ?? []).filter(({ id }) => id !== not);
  return (
    <ChoiceField
      key={quads.length}
      name="pattern"
      label="Like which aircraft, as its book says"
      options={[
        { value: '', label: 'none yet' },
        ...quads.map(({ id, name, customer }) => ({ value: id, label: `${name}, ${customer}` })),
      ]}
      onChange={(id) => onChoose(id === '' ? null : id)}
    />
  );
}
