<?php

declare(strict_types=1);

namespace Tests;

/** What the shorthand can say. */
final class SayableTunes
{
    /** @return array<string, string> a small tune for each thing that a page can hold and the shorthand can say */
    public static function all(): array
    {
        return [
            'positions and fingers' => "title: Two Doors\ntempo: 60-92 Walking\nR: @c4 q1 2 3 f | @g4 1 2 h3\nL: @5=c3 w5 | h1 5\n",
            'a finger off its position' => "R: @c4 q1 g^1 e^3 5 | w1\n",
            'outside the hand' => "R: @c4 q1 c' d b, | c,, c'' h5\n",
            'time and key change' => "key: G\nR: @g4 w1 [time 3/4] h.2 [key D] q3 f c | h.1\nL: @5=g3 w5 | h.5 | 5 | 1\n",
            'a key inside the bar' => "R: @c4 q1 f [key D] f c | w1\nL: @5=c3 w5 | 5\n",
            'signs for the time, and added times' => "time: C\nR: @c4 w1 [time C|] 1 [time 3+2/8] q.1 q2 | q.1 q2\n",
            'clefs, also inside the bar' => "clefs: treble treble\nR: @c5 w1 1 1\nL: @c4 h c [bass] c, | [treble] w c' | c\n",
            'hands cross to the other staff' => "R: @c4 q1 3 [cross] c, e | [back] w1\nL: @5=c3 w5 | 5\n",
            'two voices a staff' => "R: @c5 h.5 qr | w1\nR2: q c b, a b | /\nL: @5=c3 w5 | 5\nL2: ho g | w g\n",
            'chords with their own ties' => "R: @c4 h(1 3~ 5) (1 3) | (135)~ (135)\n",
            'tuplets' => "R: @c4 q{v123} {v5 q3} {5:4x12345} q1 | {q123} h5 | {3:2 q1 v1} h3 q2\n",
            'sixteenths and double dots' => "R: @c4 x1234 v.5 x4 q..1 x2 | y1234 5432 v.1 x2 q.3 v3\n",
            'ties across bars' => "R: @c4 h1 f+~ | f h1 | w f+~ | f f\n",
            'slurs, one after the other and overlapping' => "R: @c4 q1_ 2 3_ 4_ | 5__ 4 3__ 2 | w1_\nL: @5=c3 h5_ 3 | w1_ | /\n",
            'marks and ornaments' => "R: @c4 q1* 2! 3*! 4:fermata | 1:tenuto 2:trill 3:inverted-mordent (135):arpeggio | 1:marcato 2:breath r:fermata 3\n",
            'dynamics, hairpins and words' => "R: @c4 \"mf\" q1 < 2 3 4 . | \"f\" h5 > 3 . \"^dolce\" | w1\nL: \"_p\" w c | \"sempre\" c | c\n",
            'dynamics at the start of a line' => "R: @c4 w1\nR: \"p\" w2 < 3 | 4 .\n",
            'words in verses' => "R: @c4 q1 2 3~ 3 | h5 3\nW: Gar- den gate, . o-\nW2: two~by two _ shut\nL: @5=c3 w5 | 5\nWL: low low\n",
            'grace notes' => "R: @c4 `d q1 ``e `xf 2 h3\n",
            'repeats with three endings' => "R: @c4 w1 |: 2 [1,2 3 :|*3 [3 4 5 | 1\nL: @5=c3 w5 | 5 | 5 | 5 | 5 | 5\n",
            'a second ending of two bars' => "R: @c4 |: w1 [1 2 | 3 :| [2 4 5 | w1\n",
            'a repeat three times' => "R: @c4 |: w1 2 :|*3\n",
            'da capo al fine' => "R: @c4 w1 2 [Fine] || 3 4 [D.C. al Fine]\n",
            'dal segno al coda' => "R: @c4 w1 [Segno] 2 3 [To Coda] | 4 [D.S. al Coda] | [Coda] 5 1\n",
            'a pickup and an incomplete last bar' => "time: 3/4\nR: @c4 q5 | h.1 | h1\nL: / | @5=c3 h.5 | h5\n",
            'ottava lines' => "R: @c5 q1 [8va] c d e | w g [loco] | q1 h.2\nL: @5=c3 w5 | [8vb] c [loco] | 5\n",
            'pedal' => "R: @c4 w1\nL: [pedal] w c, [lift]\n",
            'tempo changes' => "tempo: q.=54 Rocking\ntime: 6/8\nR: @c4 h.1 [tempo q.=48] 2 [tempo 66 Slower] | 3\n",
            'letters without a staff' => "notation: letters\nR: @c4 q1 2 h3\n",
            'credits and numbers' => "title: Lamp Post\ncomposer: A. Reed\narranger: B. Moss\nlyricist: C. Hale\nrights: for one student\nbar: 17\nR: @c4 w1 2\n",
            'no key named' => "key: none\nR: @c4 w1\n",
            'courtesy accidentals' => "R: @c4 q f+ fn f cn | fn h.3\n",
            'flats, doubles, and the octave above' => "key: F\nR: @f4 q b bn b- b-- | f++ f+' h.1\n",
            'lines' => "R: @c4 w1 2\nL: @5=c3 w5 5\nR: w3 | 4\nL: / | w1\nR: w1\nL: w5\n",
        ];
    }
}
