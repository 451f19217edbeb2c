import { StyleSheet } from '@react-pdf/renderer';
import { HAIRLINE, INK, INK_2 } from './paint';

/** Points: body text of 10.5 on 15, readings in mono. */
export const styles = StyleSheet.create({
  page: { paddingTop: 44, paddingBottom: 52, paddingHorizontal: 48, fontSize: 10.5, color: INK }, // prettier-ignore
  // On the page itself a line height would hide what is fixed to its foot.
  body: { fontSize: 10.5, lineHeight: 1.4 },
  masthead: { flexDirection: 'row', justifyContent: 'space-between', gap: 16, fontSize: 9, color: INK_2 }, // prettier-ignore
  mastheadLeft: { flexGrow: 1, flexShrink: 1 },
  verdict: { alignSelf: 'flex-start', marginTop: 10, paddingVertical: 2, paddingHorizontal: 7, borderWidth: 1, borderColor: INK, borderRadius: 3, fontSize: 10, fontWeight: 700 }, // prettier-ignore
  title: { marginTop: 6, fontSize: 20, fontWeight: 700, lineHeight: 1.2 },
  lead: { marginTop: 4, marginBottom: 8 },
  pass: { marginBottom: 8, fontWeight: 700 },
  drawing: { borderWidth: 0.75, borderColor: HAIRLINE },
  caption: { marginTop: 4, fontSize: 9, color: INK_2 },
  part: { marginTop: 14 },
  heading: { marginBottom: 3, fontSize: 12, fontWeight: 700 },
  finding: { flexDirection: 'row', gap: 10, paddingVertical: 8, borderBottomWidth: 0.75, borderBottomColor: HAIRLINE }, // prettier-ignore
  findingText: { flexGrow: 1, flexShrink: 1, flexBasis: 0 },
  findingGrade: { width: 104, textAlign: 'right', fontWeight: 700, fontSize: 10 },
  price: { fontWeight: 400, fontSize: 9 },
  still: { width: 84, height: 60, objectFit: 'cover', borderRadius: 2 },
  remark: { marginTop: 2, fontSize: 9.5, color: INK_2 },
  columns: { flexDirection: 'row', gap: 18, marginTop: 16, paddingTop: 8, borderTopWidth: 1.5, borderTopColor: INK }, // prettier-ignore
  column: { flexGrow: 1, flexShrink: 1, flexBasis: 0 },
  item: { marginBottom: 3 },
  step: { flexDirection: 'row', gap: 6, marginBottom: 3 },
  stepNumber: { width: 14, fontWeight: 700 },
  stepText: { flexGrow: 1, flexShrink: 1, flexBasis: 0 },
  row: { flexDirection: 'row', gap: 12, paddingVertical: 3, borderBottomWidth: 0.75, borderBottomColor: HAIRLINE, fontSize: 9.5 }, // prettier-ignore
  head: { fontWeight: 700 },
  cell: { flexGrow: 1, flexShrink: 1, flexBasis: 0 },
  number: { width: 78, textAlign: 'right', fontWeight: 400 },
  term: { flexDirection: 'row', gap: 10, marginBottom: 2 },
  word: { width: 120, fontWeight: 700 },
  pictures: { flexDirection: 'row', flexWrap: 'wrap', gap: 12 },
  picture: { width: 246 },
  pictureImage: { width: 246, height: 164, objectFit: 'contain', backgroundColor: '#e9e3d4' },
  footer: { position: 'absolute', bottom: 24, left: 48, right: 48, flexDirection: 'row', justifyContent: 'space-between', fontSize: 8, color: INK_2 }, // prettier-ignore
});
