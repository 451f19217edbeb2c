import { Image, Polygon, Polyline, Svg, Text, View } from '@react-pdf/renderer';
import type { Picture } from '#core/report/block';
import { LINES_ON_STILL } from '#core/report/words';
import { markPoints, marksOf } from '#core/still/marks';
import { GONE, type Stills } from './stills';
import { styles } from './styles';

type Props = {
  readonly picture: Picture;
  readonly stills: Stills;
  readonly size: (typeof styles)['still' | 'glanceStill' | 'pictureImage'];
};

/** Height of what is drawn over a still, in its own units. */
const HIGH = 100;
const DASHES = { pipe: '4 3', thing: '' } as const;
const COLORS = { pipe: '#ffffff', thing: '#ffd23f' } as const;

/** A still on paper, with what was measured drawn over it. */
export function StillPdf({ picture: { photoId, measures = [] }, stills, size }: Props) {
  if (!stills.has(photoId)) return <Text style={styles.remark}>{GONE}</Text>;
  const aspect = measures[0]?.aspect ?? 1;
  return (
    <View>
      <View style={size}>
        <Image src={stills.get(photoId)} style={size} />
        {measures.length > 0 && (
          <Svg
            viewBox={`0 0 ${HIGH * aspect} ${HIGH}`}
            preserveAspectRatio="xMidYMid slice"
            style={styles.stillMarks}
          >
            {measures.flatMap((measure) =>
              marksOf(measure).map((mark, index) => {
                const Line = mark.isClosed ? Polygon : Polyline;
                return (
                  <Line
                    key={`${measure.what} ${index}`}
                    points={markPoints(mark, aspect, HIGH)}
                    fill="none"
                    stroke={COLORS[mark.of]}
                    strokeWidth={1.2}
                    strokeDasharray={DASHES[mark.of]}
                  />
                );
              }),
            )}
          </Svg>
        )}
      </View>
      {measures.length > 0 && (
        <Text style={[styles.stillWords, { width: size.width }]}>{LINES_ON_STILL}</Text>
      )}
    </View>
  );
}
