<?php

declare(strict_types=1);

namespace Tests;

use Nasturtium\Core\Drill\Session;
use Nasturtium\Core\Drill\SessionRun;
use Nasturtium\Core\Drill\TapJudge;
use Nasturtium\Core\Drill\Taps;
use Nasturtium\Core\Practice\Answer;
use Random\Engine\Xoshiro256StarStar;
use Random\Randomizer;

/** Sessions and taps by chance with what the core makes of them: the browser is held to the same (tests/Datasets/practice-room.json). */
final class PracticeRoom
{
    private const SESSIONS = 24;

    private const RHYTHMS = 24;

    public static function file(): string
    {
        return __DIR__.'/Datasets/practice-room.json';
    }

    /** @return array{sessions: list<array<string, mixed>>, taps: list<array<string, mixed>>} */
    public static function all(): array
    {
        return [
            'sessions' => array_map(self::session(...), range(1, self::SESSIONS)),
            'taps' => array_map(self::taps(...), range(1, self::RHYTHMS)),
        ];
    }

    /** @return array<string, mixed> */
    private static function session(int $seed): array
    {
        $chance = new Randomizer(new Xoshiro256StarStar($seed));
        $cards = array_map(static fn (int $card): string => "c{$card}", range(1, $chance->getInt(2, 14)));
        $learning = array_slice($cards, 0, min($chance->getInt(0, 3), count($cards)));
        $rest = array_slice($cards, count($learning));
        $known = array_slice($rest, 0, $chance->getInt(0, count($rest)));
        $before = [];
        foreach ($cards as $card) {
            if ($chance->getInt(0, 1) === 1) {
                $before[$card] = array_map(static fn (): Answer => self::answer($chance), range(1, $chance->getInt(1, 10)));
            }
        }
        $pairs = count($learning) > 1 && $chance->getInt(0, 1) === 1 ? [$learning[0] => $learning[1], $learning[1] => $learning[0]] : [];
        $session = new Session(60, $learning, array_slice($rest, count($known)), $known, $chance->getInt(0, 6), $before, $pairs);
        $run = new SessionRun($session);
        $steps = [];
        for ($asked = 0; $asked < 60 && ($card = $run->next($asked >= 50)) !== null; $asked++) {
            $answer = self::answer($chance);
            $run->answer($card, $answer);
            $steps[] = [$card, $answer->right, $answer->milliseconds];
        }

        return [
            'session' => [
                'seconds' => $session->seconds, 'learning' => $session->learning, 'joining' => $session->joining, 'known' => $session->known, 'share' => $session->share,
                'before' => array_map(static fn (string $card): array => ['card' => $card, 'answers' => array_map(static fn (Answer $answer): array => ['right' => $answer->right, 'milliseconds' => $answer->milliseconds], $before[$card])], array_keys($before)),
                'pairs' => array_map(static fn (string $card): array => ['card' => $card, 'other' => $pairs[$card]], array_keys($pairs)),
                'returns' => Session::RETURNS, 'closing' => Session::CLOSING,
                'enough' => ['answers' => $session->enough->answers, 'right' => $session->enough->right, 'within' => $session->enough->within, 'join' => $session->enough->join],
            ],
            'steps' => $steps,
        ];
    }

    private static function answer(Randomizer $chance): Answer
    {
        return new Answer($chance->getInt(1, 8) > 1, $chance->getInt(600, 3_600));
    }

    /** @return array<string, mixed> */
    private static function taps(int $seed): array
    {
        $chance = new Randomizer(new Xoshiro256StarStar(1_000 + $seed));
        $at = [0];
        for ($i = $chance->getInt(1, 11); $i > 0; $i--) {
            $at[] = $at[count($at) - 1] + [400, 800, 800, 1_200, 1_600][$chance->getInt(0, 4)];
        }
        $percent = $chance->getInt(78, 124);
        $late = $chance->getInt(-80, 80);
        $taps = array_map(static fn (int $one): int => intdiv($one * $percent, 100) + $late + $chance->getInt(-1, 1) * $chance->getInt(0, 130), $at);
        if ($chance->getInt(1, 6) === 1) {
            array_pop($taps);
        }
        $verdict = TapJudge::judge(new Taps(800, ['1', '2', '3', '4'], $at), $taps);

        return ['beat' => 800, 'at' => $at, 'taps' => $taps, 'result' => $verdict->result->value, 'off' => $verdict->off];
    }
}
