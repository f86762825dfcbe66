import styled from 'styled-components';

/** A file from the person's disk. Choosing the same file again, mended meanwhile, counts as choosing. */
interface FileProps {
  label: string;
  accept: string;
  /** In a form: its name there, and the form takes the file. */
  name?: string;
  /** Takes the file at once. */
  onFile?: (file: File) => void;
}

export function FileField({ label, accept, name, onFile }: FileProps) {
  return (
    <FileLabel>
      {label}
      <input
        type="file"
        {...(name ? { name } : {})}
        accept={accept}
        onChange={({ target }) => {
          const file = target.files?.[0];
          if (!file || !onFile) return;
          onFile(file);
          target.value = '';
        }}
      />
    </FileLabel>
  );
}

const FileLabel = styled.label`
  display: grid;
  gap: 4px;
  font-weight: 700;
  font-size: 18px;
  min-width: 0;
  input {
    font-weight: 400;
    width: 100%;
    min-width: 0;
  }
`;
