import { Polygon, Svg, Text, View } from '@react-pdf/renderer';
import type { FindingBlock, FindingPlace } from '#core/report/block';
import { flakeOutline } from '#core/section/flakes';
import { useLetters } from './families';
import { mark } from './mark';
import { paintOf } from './paint';
import { StillPdf } from './StillPdf';
import { type Stills } from './stills';
import { styles } from './styles';

type Props = { readonly block: FindingBlock; readonly stills: Stills };

/** One finding, or several that are alike, on paper: a finding is never cut from its still. */
export function FindingPdf({ block, stills }: Props) {
  const letters = useLetters();
  const { number, title, severity, places, sentences, remarks, verdict, price } = block;
  const [first, ...others] = places as [FindingPlace, ...FindingPlace[]];
  const isAlone = others.length === 0;
  return (
    <View style={styles.finding} {...mark(`${number}. ${title}`)}>
      <View wrap={false}>
        <View style={styles.findingHead}>
          {isAlone && <FlakePdf severity={severity} number={number} />}
          <Text style={[styles.heading, styles.findingText]}>{title}</Text>
          <Text style={styles.findingGrade}>{verdict}</Text>
        </View>
        <View style={styles.findingBody}>
          <View style={styles.findingText}>
            <Text>{sentences.join(' ')}</Text>
            {isAlone && first.ground && <Text style={styles.remark}>{first.ground}</Text>}
            {remarks.length > 0 && <Text style={styles.remark}>{remarks.join(' ')}</Text>}
            {price && <Text style={[styles.price, letters.readings]}>{price}</Text>}
          </View>
          {isAlone && <PlaceStill place={first} stills={stills} />}
        </View>
        {!isAlone && <PlacePdf place={first} stills={stills} />}
      </View>
      {others.map((place) => (
        <PlacePdf key={place.id} place={place} stills={stills} />
      ))}
    </View>
  );
}

/** One place of findings that are told together. */
function PlacePdf({ place, stills }: { readonly place: FindingPlace; readonly stills: Stills }) {
  const { severity, number, where, says, ground } = place;
  const texts = [says, ground].filter((one) => one !== null);
  return (
    <View style={styles.place} wrap={false}>
      <FlakePdf severity={severity} number={number} />
      <Text style={styles.findingText}>
        <Text style={styles.head}>{where}. </Text>
        {texts.join(' ')}
      </Text>
      <PlaceStill place={place} stills={stills} />
    </View>
  );
}

function PlaceStill({
  place: { picture },
  stills,
}: {
  readonly place: FindingPlace;
  readonly stills: Stills;
}) {
  if (!picture) return null;
  return <StillPdf picture={picture} stills={stills} size={styles.still} />;
}

function FlakePdf({ severity, number }: Pick<FindingPlace, 'severity' | 'number'>) {
  const letters = useLetters();
  const points = flakeOutline(severity, number, { x: 15, y: 15 })
    .map(({ x, y }) => `${x.toFixed(1)},${y.toFixed(1)}`)
    .join(' ');
  return (
    <Svg viewBox="0 0 30 30" style={{ width: 24, height: 24 }}>
      <Polygon points={points} {...paintOf(`flake-${severity}`)} />
      <Text
        x={15}
        y={19.5}
        textAnchor="middle"
        fill="#ffffff"
        style={{ fontSize: number > 99 ? 9 : 12, ...letters.words, fontWeight: 700 }}
      >
        {String(number)}
      </Text>
    </Svg>
  );
}
