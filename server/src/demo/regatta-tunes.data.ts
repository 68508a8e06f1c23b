// Source: made up for the demo; tunes and words are nobody else's. In ABC notation, read by the core.

/** What the boats of the Lantern Regatta sing. */
export const REGATTA_TUNES: readonly string[] = [
  `X:1
T:Lanterns on the water
M:4/4
L:1/4
Q:1/4=84
K:F
F G A c | d c A2 | G A B A | G4 |
w:One by one they float a-way now, slow as an-y dream
F G A c | f d c A | B A G F | F4 |
w:One by one they find the dark bank, light be-hind the stream
c d c A | d2 c2 | A B A G | c4 |
w:Lift the lan-tern, high now, let the wa-ter see
f d c A | B A G2 | A G F E | F4 |`,
  `X:1
T:Three turns of the windlass
M:6/8
L:1/8
Q:3/8=63
K:D
A3 d2 e | f3 d3 | e2 d c2 A | B3 A3 |
d2 e f2 g | a3 f3 | g2 e c2 e | d6 |
a3 f2 a | b3 a3 | g2 f e2 d | e3 A3 |
d2 e f2 a | g2 e c2 e | d3 d3 |]`,
  `X:1
T:Ferryman’s evening
M:3/4
L:1/4
Q:1/4=72
K:Gm
D G A | B2 A | G F D | G3 |
D G A | B c d | c B A | d3 |
g f d | c2 B | A G F | D3 |
D G A | B A G | A G F | G3 |]`,
];
