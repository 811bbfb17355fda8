<?php

declare(strict_types=1);

namespace Nasturtium\Core\Formats\MusicXml;

/**
 * Which staff a voice belongs to. A voice that goes from staff to staff without a step back in time is one hand
 * crossing over; one that is written on both staves side by side only shares its number.
 */
final class VoiceHomes
{
    /** @var array<string, array<int, int>> notes by voice and staff */
    private array $notes = [];

    /** Whether anything is written on a second staff. */
    public bool $both = false;

    /** @var array<string, true> voices that share a number on both staves */
    private array $shared = [];

    /** @param iterable<array{\DOMElement, \DOMElement}> $measures as ScoreParts gives them */
    public function __construct(iterable $measures)
    {
        foreach ($measures as [, $content]) {
            $this->measure($content);
        }
    }

    /** @return int the staff whose hand plays a note of this voice that stands on the given staff */
    public function home(string $voice, int $staff): int
    {
        if (isset($this->shared[$voice]) || ! isset($this->notes[$voice])) {
            return $staff;
        }

        return ($this->notes[$voice][2] ?? 0) > ($this->notes[$voice][1] ?? 0) ? 2 : 1;
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
            $this->notes[$voice][$staff] = ($this->notes[$voice][$staff] ?? 0) + (isset($parts['rest']) ? 0 : 1);
            $runs[$voice][$staff][$run] = true;
        }
        foreach ($runs as $voice => $staves) {
            if (isset($staves[1], $staves[2]) && array_intersect_key($staves[1], $staves[2]) === []) {
                $this->shared[$voice] = true;
            }
        }
    }
}
