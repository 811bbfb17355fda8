<?php

declare(strict_types=1);

namespace Nasturtium\Core\Formats\MusicXml;

use Nasturtium\Core\Score\Hand;

/**
 * Which staff a voice belongs to. A voice that goes from staff to staff without a step back in time is one hand
 * crossing over; one that is written on both staves side by side only shares its number. A file that was written here
 * says whose hand each note is, in its id, and is believed.
 */
final class VoiceHomes
{
    private const OWN_ID = '/^([RL])\d+(?:b\d*)?(?:v\d+)?-\d+(?:\.\d+)?$/';

    /** @var array<string, array<int, int>> notes by voice and staff */
    private array $notes = [];

    /** @var array<string, array<int, int>> rests by voice and staff, for a voice that has nothing else */
    private array $rests = [];

    /** Whether anything is written on a second staff. */
    public bool $both = false;

    /** @var array<string, true> voices that share a number on both staves */
    private array $shared = [];

    /** @var array<string, Hand|false> by voice, as the ids of its notes say; false where they do not agree */
    private array $own = [];

    /** @param iterable<array{\DOMElement, \DOMElement}> $measures as ScoreParts gives them */
    public function __construct(iterable $measures)
    {
        foreach ($measures as [, $content]) {
            $this->measure($content);
        }
    }

    /** Every note bears the id that the writer gave it: nothing in the file is guessed. */
    public function isOwn(): bool
    {
        return $this->own !== [] && ! in_array(false, $this->own, true);
    }

    /** @return int the staff whose hand plays a note of this voice that stands on the given staff */
    public function home(string $voice, int $staff): int
    {
        $own = $this->own[$voice] ?? false;
        if ($own !== false) {
            return $own === Hand::Right ? 1 : 2;
        }
        if (isset($this->shared[$voice]) || ! isset($this->notes[$voice])) {
            return $staff;
        }
        $of = fn (int $on): array => [$this->notes[$voice][$on] ?? 0, $this->rests[$voice][$on] ?? 0];

        return $of(2) > $of(1) ? 2 : 1;
    }

    private function measure(\DOMElement $content): void
    {
        $run = 0;
        $runs = [];
        foreach (Xml::children($content) as $child) {
            $run += $child->localName === 'backup' ? 1 : 0;
            if ($child->localName !== 'note') {
                continue;
            }
            $parts = Xml::named($child);
            $staff = (int) trim($parts['staff']->textContent ?? '1');
            $voice = trim($parts['voice']->textContent ?? '') ?: "staff {$staff}";
            $this->both = $this->both || $staff > 1;
            $isRest = isset($parts['rest']);
            $this->notes[$voice][$staff] = ($this->notes[$voice][$staff] ?? 0) + ($isRest ? 0 : 1);
            $this->rests[$voice][$staff] = ($this->rests[$voice][$staff] ?? 0) + ($isRest ? 1 : 0);
            $runs[$voice][$staff][$run] = true;
            if (! isset($parts['grace'])) {
                $hand = preg_match(self::OWN_ID, $child->getAttribute('id'), $found) === 1 ? Hand::from($found[1]) : false;
                $this->own[$voice] = ($this->own[$voice] ?? $hand) === $hand ? $hand : false;
            }
        }
        foreach ($runs as $voice => $staves) {
            if (isset($staves[1], $staves[2]) && array_intersect_key($staves[1], $staves[2]) === []) {
                $this->shared[$voice] = true;
            }
        }
    }
}
