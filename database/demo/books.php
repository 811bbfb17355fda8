<?php

declare(strict_types=1);

/*
 * The books of the demo studio, with tunes composed for it: title, level, and by page its kind, what it introduces
 * and its pieces in the shorthand (docs/shorthand.md). A page without pieces has a title, a duet the teacher's part.
 */
return [
    [
        'title' => 'The Windowsill Book',
        'level' => 'First steps',
        'pages' => [
            2 => ['pieces', 'finger numbers, no staff yet', [
                '' => <<<'TUNE'
                    title: Hop and Wait
                    notation: fingers
                    tempo: 84
                    R: @c4 q1 2 h3 | q3 2 h1 | / | /
                    W: Hop and wait, and hop back.
                    L: @c4 / | / | q1 2 h3 | q3 2 h1
                    WL: Down and wait, and come home.
                    TUNE,
            ]],
            3 => ['pieces', 'letter names, no staff yet', [
                '' => <<<'TUNE'
                    title: Three Drops
                    notation: letters
                    tempo: 80
                    R: @c4 q1 r 3 r | h2 1 | / | w1
                    L: @c4 / | / | q1 r 2 r | h3 2
                    TUNE,
            ]],
            4 => ['pieces', 'middle C, hands take turns', [
                '' => <<<'TUNE'
                    title: Two Snails
                    tempo: 84 Unhurried
                    R: @c4 q1 d h3 | / | q3 d h1 | /
                    L: @c4 / | q1 b h3 | / | q3 b h1
                    R: q1 1 d 3 | / | h3 d | w1
                    L: / | q1 1 b a | / | /
                    TUNE,
            ]],
            6 => ['pieces', 'skips', [
                'A' => <<<'TUNE'
                    title: The Gate
                    tempo: 92
                    R: @c4 q1 e c e | h3 5 | q5 e g e | w1
                    L: @5=c3 / | / | / | w5
                    TUNE,
                'B' => <<<'TUNE'
                    title: The Latch
                    tempo: 92
                    R: @c4 / | / | / | w5
                    L: @5=c3 q1 e g e | h3 1 | q5 e c e | w1
                    TUNE,
            ]],
            8 => ['pieces', 'hands together', [
                '' => <<<'TUNE'
                    title: Copper Kettle
                    tempo: 96 Steadily
                    R: @c4 q1 d e d | h3 5 | q5 f e d | w3
                    L: @5=c3 w5 | h5 3 | w1 | w5
                    R: q1 d e d | h3 5 | q5 4 3 2 | w1
                    L: w5 | h5 3 | h1 4 | w5
                    TUNE,
            ]],
            9 => ['theory', 'line notes and space notes', [], 'Lines and spaces'],
            10 => ['pieces', 'three beats, ties and rests', [
                '' => <<<'TUNE'
                    title: Paper Boats
                    time: 3/4
                    tempo: 66-108 Drifting
                    R: @c4 q1 e g | h.5~ | 5 | q f e r
                    L: @5=c3 h.5 | q r 3 1 | h 3 qr | h.5
                    R: q1 e g | h.4~ | h4 q2 | h.1
                    L: h.5 | q r 4 2 | h.1 | h5 qr
                    TUNE,
            ]],
            12 => ['pieces', 'pickup, two notes on a beat', [
                '' => <<<'TUNE'
                    title: Uphill on a Saturday
                    key: G
                    tempo: 92 With a spring
                    R: @g4 v5 d | q c b v a b c a | q b g h 3 | q 4 4 v c b a b | h. g v5 d
                    L: | @5=g3 w5 | h5 1 | w2 | h.5 qr
                    R: q c b v a b c a | q b g h 3 | q 2 5 v c b a 2 | h. 1
                    L: w5 | h5 1 | w2 | h.5
                    TUNE,
            ]],
        ],
    ],
    [
        'title' => 'Lanterns and Ladders',
        'level' => 'Second year',
        'pages' => [
            3 => ['pieces', 'both hands in the treble clef', [
                '' => <<<'TUNE'
                    title: Lantern Path
                    clefs: treble treble
                    tempo: 72 Softly
                    R: @g4 h1 3 | q5 d b d | h4 2 | w1
                    L: @5=c4 w5 | w3 | h1 4 | w5
                    R: h1 3 | q5 d b d | q c a b c | w b
                    L: w5 | w3 | h4 2 | w1
                    TUNE,
            ]],
            5 => ['pieces', 'the left hand moves', [
                '' => <<<'TUNE'
                    title: The Ladder in the Barn
                    tempo: 100 Sturdily
                    R: @c4 q5 e c e | w4 | q4 d d f | w3
                    L: @5=c3 q5 g c g | h4 r | @5=g2 q5 d g, d | h4 r
                    R: q5 e c e | w4 | q2 d e d | w1
                    L: @5=c3 q5 g c g | h4 r | @5=g2 q5 d g, d | @5=c3 w5
                    TUNE,
            ]],
            7 => ['pieces', 'repeat signs and two endings', [
                '' => <<<'TUNE'
                    title: Round the Pond
                    time: 2/4
                    tempo: 88
                    R: |: @d4 q1 3 | v f e q d | q 5 3 | [1 h 2 :| [2 h 1
                    L: @5=d3 h5 | h5 | q1 3 | h4 | h5
                    TUNE,
            ]],
            9 => ['pieces', 'two notes on a beat against long ones', [
                'A' => <<<'TUNE'
                    title: Tin Roof Rain
                    key: F
                    tempo: 104 Pattering
                    R: @f4 v1 g a g q f a | v b- a g a q g c | v1 g a g q f a | v g f g a h f
                    L: @5=f3 h5 1 | h4 2 | h5 1 | h2 5
                    TUNE,
                'B' => <<<'TUNE'
                    title: After the Rain
                    key: D minor
                    tempo: 69 Calm
                    R: @d4 h1 q3 5 | h.4 q3 | h2 q1 c+ | w1
                    L: @5=d3 w5 | h4 2 | h3 2 | w5
                    TUNE,
            ]],
            11 => ['pieces', 'three notes on a beat', [
                '' => <<<'TUNE'
                    title: Evening Ferry
                    time: 6/8
                    tempo: 72 Rocking
                    R: @g4 q5 v3 q3 v1 | q.2 q.4 | q5 v3 q3 v1 | h.2
                    L: @5=g3 h.5 | h.2 | h.5 | h.1
                    R: q5 v3 q3 v1 | q.2 q.4 | q3 v2 q1 v2 | h.1
                    L: h.5 | h.2 | q.5 2 | h.5
                    TUNE,
            ]],
            12 => ['listening', 'which bell is lowest?', [], 'Three bells far off'],
            13 => ['pieces', 'back to the beginning, slurs and short notes', [
                '' => <<<'TUNE'
                    title: The Old Pump
                    time: 3/4
                    tempo: 84-120 Creaking along
                    R: @c5 "mf" q5_ 3 1_ | 2* 2* r | 4_ 3 2_ | h.1 [Fine] ||
                    L: @5=c3 h.5 | q r (31)* r | h.2 | (51)
                    R: "p" q3_ < 4 5_ . | "mf" 5_ > 4 3_ . | q2_ 3 4_ | h.2 [D.C. al Fine]
                    L: h.5~ | 5 | h.2 | q 2 1 r
                    TUNE,
            ]],
            14 => ['pieces', 'triplets, and two voices in one hand', [
                'A' => <<<'TUNE'
                    title: Wheelbarrow
                    tempo: 96 Bumping
                    R: @g4 q{v123} {v321} h5 | q{v543} {v345} h1
                    L: @5=g3 h5 1 | h3 5
                    TUNE,
                'B' => <<<'TUNE'
                    title: Chapel Door
                    tempo: 60 Quietly
                    R: @g4 h5 4 | 3 4 | 5 4 | w3
                    R2: w1 | 2 | h1 2 | w1
                    L: @5=g2 w5 | h5 1 | w5 | (51)
                    TUNE,
            ]],
            15 => ['duet', 'playing with somebody', [
                '' => <<<'TUNE'
                    title: Owl and Mole
                    tempo: 76 Slow and round
                    R: @c4 q1 1 h2 | q3 2 h1 | / | q3 2 h1
                    L: @c4 / | / | q1 2 h3 | w1
                    TUNE,
            ], '', <<<'TUNE'
                    title: Owl and Mole
                    tempo: 76 Slow and round
                    R: @c3 h(35) (24) | (24) (35) | (35) (24) | (24) (35)
                    L: @5=c2 w5 | h1 5 | w5 | h1 5
                    TUNE],
        ],
    ],
];
