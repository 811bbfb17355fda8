<?php

declare(strict_types=1);

use Symfony\Component\Finder\Finder;

/*
 * The application is in chapters, each with its models, policies, requests, resources and actions. What a chapter gives to
 * the others is named here; all else is its own.
 */

const OPEN_TO_OTHERS = [
    'Account' => ['CurrentStudio', 'Letters\\Letter', 'Letters\\Mail', 'Letters\\MailState', 'Members\\Membership', 'Members\\Role', 'NearDay', 'OfStudent', 'Studio', 'StudioRequest', 'User'],
    'Privacy' => ['Access', 'AccessResource', 'CachedReports', 'EraseEndedStudio', 'EraseStudent', 'Erasures', 'Mentions', 'NoteAccess'],
    'Page' => ['Book', 'Page', 'Photo\\KeptPhoto', 'Photo\\PhotoLink', 'Piece\\NoteNames', 'Piece\\Piece', 'Piece\\PieceResource', 'Piece\\PieceRetyped', 'Piece\\PlaybackResource', 'Piece\\PlaysBars'],
    'Student' => ['Family\\FamilyLink', 'Family\\FamilyWord', 'Family\\FamilyWordResource', 'Family\\HomeChildResource', 'ForStudent', 'KnowNotes', 'KnownNoteResource', 'Learning\\BarsResource', 'Learning\\Learning', 'Learning\\NextPageResource', 'Learning\\NextPages', 'Learning\\OpenPiece', 'Learning\\PlayedOn', 'Learning\\Settle', 'Learning\\Stage', 'Learning\\StageBars', 'Learning\\StageTimes', 'Learning\\StudentBooks', 'Learning\\Stuck\\StuckResource', 'Learning\\Stuck\\StuckStages', 'Paths\\OwnPath', 'Performances\\Performance', 'Student', 'StudentPace', 'Timetable\\AtOneTime', 'Timetable\\Holiday', 'Timetable\\HolidayResource', 'Timetable\\LessonDayResource', 'Timetable\\LessonsAhead', 'Timetable\\TimetableChanged'],
    'Desk' => ['OwnFinger', 'PageWordResource', 'QuestionResource', 'ReportOf', 'SettingsFor', 'Verdict'],
    'Week' => ['CatchUp', 'CountWeeks', 'DayOff', 'Practice', 'PracticeResource', 'ProposeWeek', 'Remedies\\FindRemedies', 'ReplanWeek', 'SentPlan', 'Task', 'TaskBars', 'TaskDay', 'Week', 'WeekDayResource', 'WeekDays', 'WeekResource'],
    'Lesson' => ['Lesson', 'Slip'],
    'Listening' => ['Judged', 'JudgedTakes', 'KeepTake', 'Take', 'TakeHeardResource', 'TakeRequest', 'TakeResource'],
    'Lead' => ['LedLesson', 'VoiceRequest'],
    'Drill' => ['DrillAnswer', 'LinesAtSight', 'MaterialFor', 'TypedPages'],
    'Sheet' => [],
    'Home' => [],
    'Progress' => [],
    'Archive' => [],
];

/** @return array<string, list<string>> the classes that each file of the application uses of it, by file under app/ */
function uses_by_file(): array
{
    $root = dirname(__DIR__, 2).'/app';
    $uses = [];
    foreach (Finder::create()->files()->in($root)->name('*.php') as $file) {
        preg_match_all('/^use ([\w\\\\]+?)(?: as \w+)?;/m', $file->getContents(), $found);
        $uses[$file->getRelativePathname()] = $found[1];
    }

    return $uses;
}

test('a chapter takes from another what that one gives', function (): void {
    $taken = [];
    foreach (uses_by_file() as $file => $classes) {
        $from = explode('/', $file)[0];
        foreach (isset(OPEN_TO_OTHERS[$from]) ? $classes : [] as $class) {
            [$app, $chapter, $name] = [...explode('\\', $class, 3), '', ''];
            if ($app === 'App' && $chapter !== $from && isset(OPEN_TO_OTHERS[$chapter])) {
                $taken[$chapter][$name] = true;
                expect(OPEN_TO_OTHERS[$chapter])->toContain($name);
            }
        }
    }
    // What nobody takes is not given any more.
    foreach (OPEN_TO_OTHERS as $chapter => $given) {
        expect(array_values(array_diff($given, array_keys($taken[$chapter] ?? []))))->toBe([], $chapter);
    }
});

test('what is not of HTTP knows nothing of it', function (): void {
    $http = '/^(Illuminate\\\\Http\\\\(JsonResponse|Request|Response)|Symfony\\\\Component\\\\HttpFoundation)/';
    foreach (uses_by_file() as $file => $classes) {
        if (preg_match('~^(Http|Api|Providers)/|(Controller|Request)\.php$|^Student/ForStudent|^Home/WrongTokens~', $file) !== 1) {
            expect(preg_grep($http, $classes))->toBe([], $file);
        }
    }
});

test('an answer asks the database nothing, and a controller decides nothing about music', function (): void {
    foreach (Finder::create()->files()->in(dirname(__DIR__, 2).'/app')->name(['*Resource.php', '*Controller.php']) as $file) {
        $text = $file->getContents();
        str_ends_with($file->getFilename(), 'Resource.php')
            ? expect($text)->not->toMatch('/\bDB::|::query\(|->load\w*\(|->exists\(\)/', $file->getFilename())
            : expect($text)->not->toMatch('/^use Nasturtium\\\\Core\\\\(Counting|Fingering|Pattern|Reading)\\\\/m', $file->getFilename());
    }
});
