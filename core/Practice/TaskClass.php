<?php

declare(strict_types=1);

namespace Nasturtium\Core\Practice;

/** What a task is to the plan of a week: its value, how often it counts, and its place in the day (trade 11.2). */
enum TaskClass: string
{
    case WarmUp = 'warm-up';
    case Glance = 'glance';
    case Preparation = 'preparation';
    case Playing = 'playing';
    case Remedy = 'remedy';
    case Drill = 'drill';
    case Review = 'review';
    case Theory = 'theory';
    case Sight = 'sight';
    case Choice = 'choice';

    /** More for the page that was opened first. */
    private const OLDER = 1;

    /** What a task is that is no stage of the trade. */
    public static function ofKind(TaskKind $kind): self
    {
        return match ($kind) {
            TaskKind::WarmUp => self::WarmUp,
            TaskKind::Remedy => self::Remedy,
            TaskKind::Stage => self::Playing,
            TaskKind::Drill => self::Drill,
            TaskKind::Review => self::Review,
            TaskKind::Theory => self::Theory,
            TaskKind::Sight => self::Sight,
            TaskKind::Choice => self::Choice,
        };
    }

    public function value(bool $older = false): int
    {
        return match ($this) {
            self::Remedy => 8,
            self::Playing => $older ? 6 + self::OLDER : 6,
            self::Preparation, self::Drill => 4,
            self::Review, self::Theory => 3,
            self::Sight, self::Glance => 2,
            self::WarmUp, self::Choice => 0,
        };
    }

    /** Days on which it counts; those beyond the third count as little as the fourth. */
    public function daysThatCount(): int
    {
        return match ($this) {
            self::Playing, self::Remedy => PHP_INT_MAX,
            self::Drill, self::Sight => 3,
            self::Preparation, self::Review => 2,
            self::Theory, self::Glance => 1,
            self::WarmUp, self::Choice => 0,
        };
    }

    /** New things are met in it, and met twice. */
    public function isWork(): bool
    {
        return $this === self::Playing || $this === self::Remedy;
    }

    /** What waits for it may be met on the same day. */
    public function prepares(): bool
    {
        return $this === self::Glance || $this === self::Preparation || $this === self::Drill;
    }

    /** It is one of the tasks of a day, of which there are only so many. */
    public function takesAPlace(): bool
    {
        return $this !== self::WarmUp && $this !== self::Glance;
    }
}
