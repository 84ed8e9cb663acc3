import { Choice } from '../../../components/Choice';
import { QuantityField } from '../../../components/QuantityField';
import { Text } from '../../../components/Text';
import { PhotoMarks } from './PhotoMarks';
import type { OpenPhoto, PhotoAction, PhotoWork } from './photoWork';

interface PhotoQuestionFieldsProps {
  readonly work: PhotoWork;
  readonly photo: OpenPhoto;
  readonly dispatch: (action: PhotoAction) => void;
}

/** What of known length is in view and where, and what the print looks like. */
export function PhotoQuestionFields({ work: { question, marks }, photo, dispatch }: PhotoQuestionFieldsProps) {
  const { kind, sheet, lying, size, mark, drawn, rolls } = question;
  const tell = (part: Partial<typeof question>): void => dispatch({ type: 'tell', part });
  const sideWords = kind === 'tape' ? ['Between the marks'] : ['Its width', 'Its height'];
  return (
    <>
      <Choice
        label="Known length in view"
        value={kind}
        options={[
          { code: 'sheet', name: 'The sheet' },
          { code: 'tile', name: 'A tile beside' },
          { code: 'tape', name: 'A tape' },
        ]}
        onChange={(next) => tell({ kind: next })}
      />
      {kind === 'sheet' && (
        <Choice
          label="Size of the sheet"
          value={sheet}
          options={[
            { code: 'A4', name: 'A4' },
            { code: 'A3', name: 'A3' },
            { code: 'letter', name: 'Letter' },
            { code: 'own', name: 'Its own' },
          ]}
          onChange={(next) => tell({ sheet: next })}
        />
      )}
      {kind === 'sheet' && sheet !== 'own' && (
        <Choice
          label="It lies in the photo"
          value={lying}
          options={[
            { code: 'upright', name: 'Upright' },
            { code: 'across', name: 'Across' },
          ]}
          onChange={(next) => tell({ lying: next })}
        />
      )}
      {(kind !== 'sheet' || sheet === 'own') &&
        sideWords.map((word, index) => (
          <QuantityField
            key={word}
            label={word}
            quantity="length"
            value={size[index]!}
            onChange={(value) => tell({ size: index === 0 ? [value, size[1]] : [size[0], value] })}
          />
        ))}
      <Text>{kind === 'tape' ? 'Drag the two marks onto the tape.' : 'Drag the four marks onto the corners.'}</Text>
      <PhotoMarks
        {...photo}
        marks={marks}
        joined={kind === 'tape' ? 'line' : 'round'}
        tone="reference"
        names={(index) => (kind === 'tape' ? `Mark ${index + 1} on the tape` : `Corner ${index + 1}`)}
        onMove={(index, to) => dispatch({ type: 'mark', index, to })}
      />
      <Choice
        label="The print is"
        value={mark}
        options={[
          { code: 'dark', name: 'Dark on light' },
          { code: 'light', name: 'Light on dark' },
        ]}
        onChange={(next) => tell({ mark: next })}
      />
      <Choice
        label="It shows"
        value={drawn}
        options={[
          { code: 'tread', name: 'The tread' },
          { code: 'line', name: 'A line round it' },
        ]}
        onChange={(next) => tell({ drawn: next })}
      />
      <Choice
        label="In the photo the wheel rolls"
        value={rolls}
        options={[
          { code: 'upright', name: 'Up and down' },
          { code: 'across', name: 'Left and right' },
        ]}
        onChange={(next) => tell({ rolls: next })}
      />
    </>
  );
}
