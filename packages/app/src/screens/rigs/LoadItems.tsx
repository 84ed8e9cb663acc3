import type { LoadCaseBody, LoadItemBody, RigRow } from '@dunlinmoss/contract';
import { StyleSheet, View } from 'react-native';

import { RowNumber, RowQuantity, RowText, usePicked } from '../../forms/fields';
import { appended, inserted, removed } from '../../forms/rowForm';
import { useValue, type OpenForm } from '../../forms/useRowForm';
import { Action } from '../../components/Action';
import { Choice } from '../../components/Choice';
import { notify } from '../../components/Notice';
import { Panel } from '../../components/Panel';
import { Slider } from '../../components/Slider';
import { Unfold } from '../../components/Unfold';
import { LOAD_POSITION_WORDS } from '../../words/families';
import { levelText } from '../../words/level';
import { hasTrailer, newItem, loadPositionsOf } from './loadForm';

interface LoadItemsProps {
  readonly form: OpenForm<LoadCaseBody>;
  readonly rig: RigRow;
}

/** Things and tanks that are put on, each with its weight and place. */
export function LoadItems({ form, rig }: LoadItemsProps) {
  const items = useValue<LoadCaseBody, LoadCaseBody['items']>(form, '/items');
  const drop = (index: number): void => {
    const gone = items[index]!;
    form.change((now) => removed(now, ['/items'], index));
    notify(`${gone.name || 'The thing'} is off.`, () => form.change((now) => inserted(now, '/items', index, gone)));
  };
  const add = (item: LoadItemBody): void => form.change((now) => appended(now, ['/items'], item));
  return (
    <>
      {items.map((item, index) => (
        <Item
          key={index}
          form={form}
          index={index}
          kind={item.kind}
          trailer={hasTrailer(rig)}
          onRemove={() => drop(index)}
        />
      ))}
      <Panel title="Put on">
        <Unfold label="A thing: pick its place">
          {(close) => (
            <PlacePicker
              rig={rig}
              onPick={(place) => {
                add(newItem('thing', place, rig));
                close();
              }}
            />
          )}
        </Unfold>
        <Unfold label="A tank: pick its place">
          {(close) => (
            <PlacePicker
              rig={rig}
              onPick={(place) => {
                add(newItem('tank', place, rig));
                close();
              }}
            />
          )}
        </Unfold>
      </Panel>
    </>
  );
}

interface PlacePickerProps {
  readonly rig: RigRow;
  readonly onPick: (place: ReturnType<typeof loadPositionsOf>[number] | undefined) => void;
}

function PlacePicker({ rig, onPick }: PlacePickerProps) {
  return (
    <View style={styles.wrap}>
      {loadPositionsOf(rig).map((place) => (
        <Action key={place} label={LOAD_POSITION_WORDS[place]} onPress={() => onPick(place)} />
      ))}
      <Action label="Elsewhere" onPress={() => onPick(undefined)} />
    </View>
  );
}

interface ItemProps {
  readonly form: OpenForm<LoadCaseBody>;
  readonly index: number;
  readonly kind: LoadItemBody['kind'];
  readonly trailer: boolean;
  readonly onRemove: () => void;
}

function Item({ form, index, kind, trailer, onRemove }: ItemProps) {
  const [body, pickBody] = usePicked<LoadCaseBody, LoadItemBody['body']>(form, `/items/${index}/body`);
  const spoken = `Thing ${index + 1}`;
  const behindWhat = body === 'trailer' ? 'the coupling' : 'the front axle';
  return (
    <Panel title={`${index + 1}. ${kind === 'tank' ? 'Tank' : 'Thing'}`}>
      <RowText form={form} at={`/items/${index}/name`} label="What it is" />
      {kind === 'thing' ? (
        <RowQuantity
          form={form}
          at={`/items/${index}/massKg`}
          label="Weighs"
          spoken={`${spoken}: weighs`}
          quantity="mass"
        />
      ) : (
        <TankFields form={form} index={index} spoken={spoken} />
      )}
      {trailer && (
        <Choice
          label="Stands on"
          value={body}
          options={[
            { code: 'vehicle', name: 'The vehicle' },
            { code: 'trailer', name: 'The trailer' },
          ]}
          onChange={pickBody}
        />
      )}
      <View style={styles.wrap}>
        <View style={styles.half}>
          <RowQuantity
            form={form}
            at={`/items/${index}/behindMm`}
            label="Behind"
            spoken={`${spoken}: behind ${behindWhat}`}
            quantity="length"
            hint={`${body === 'trailer' ? 'The coupling' : 'The front axle'}. Less than 0 is ahead.`}
          />
        </View>
        <View style={styles.half}>
          <RowQuantity
            form={form}
            at={`/items/${index}/rightMm`}
            label="Right"
            spoken={`${spoken}: right of the middle`}
            quantity="length"
            hint="Of the middle. Less than 0 is left."
          />
        </View>
      </View>
      <Action icon="trash" label="Remove it" onPress={onRemove} />
    </Panel>
  );
}

interface TankProps {
  readonly form: OpenForm<LoadCaseBody>;
  readonly index: number;
  readonly spoken: string;
}

/** What a tank holds, and how full it is. */
function TankFields({ form, index, spoken }: TankProps) {
  const [level, pickLevel] = usePicked<LoadCaseBody, number>(form, `/items/${index}/level`);
  return (
    <>
      <View style={styles.wrap}>
        <View style={styles.half}>
          <RowQuantity
            form={form}
            at={`/items/${index}/liters`}
            label="Holds"
            quantity="volume"
            spoken={`${spoken}: holds`}
          />
        </View>
        <View style={styles.half}>
          <RowNumber
            form={form}
            at={`/items/${index}/densityKgPerL`}
            label="A liter weighs"
            unit="kg"
            spoken={`${spoken}: a liter weighs`}
          />
        </View>
      </View>
      <Slider
        label={`Level of tank ${index + 1}`}
        shown={levelText(level)}
        value={level}
        min={0}
        max={1}
        step={0.05}
        onChange={pickLevel}
      />
    </>
  );
}

const styles = StyleSheet.create({
  wrap: { flexDirection: 'row', flexWrap: 'wrap', gap: 8 },
  half: { flexBasis: 130, flexGrow: 1, minWidth: 0 },
});
