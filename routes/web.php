<?php

declare(strict_types=1);

use App\Http\Controllers as C;
use App\Http\Middleware\LimitBody;
use App\Http\Middleware\TryAgain;
use App\Models;
use Illuminate\Support\Facades\Route;

/*
 * Every route of the API names its policy with `can`. A group that takes files names its megabytes; anything else is a
 * megabyte at most. The browser's pages are one page: the front end.
 */
Route::prefix('api')->middleware([LimitBody::class, TryAgain::class])->group(function (): void {
    Route::post('session', [C\SessionController::class, 'store'])->middleware('throttle:sign-in');

    Route::middleware('auth')->group(function (): void {
        Route::get('session', [C\SessionController::class, 'show'])->can('work', Models\Studio::class);
        Route::delete('session', [C\SessionController::class, 'destroy'])->can('work', Models\Studio::class);
        Route::patch('studios/{studio}', [C\StudioController::class, 'update'])->can('own', 'studio');

        Route::get('studios/{studio}/backup', [C\ExportController::class, 'backup'])->middleware('throttle:heavy')->can('own', 'studio');
        Route::group(['megabytes' => 512], function (): void {
            Route::post('studios/{studio}/restore', [C\ExportController::class, 'restore'])->middleware('throttle:heavy')->can('own', 'studio');
        });
        Route::get('practice.csv', [C\ExportController::class, 'practice'])->middleware('throttle:heavy')->can('work', Models\Practice::class);
        Route::get('marks.csv', [C\ExportController::class, 'marks'])->middleware('throttle:heavy')->can('work', Models\Lesson::class);
        Route::get('students/{student}/export', [C\ExportController::class, 'student'])->middleware('throttle:heavy')->can('own', 'student');
        Route::get('mails', [C\MailController::class, 'index'])->can('work', Models\Mail::class);
        Route::post('students/{student}/report', [C\MailController::class, 'report'])->middleware('throttle:mail')->can('own', 'student');
        Route::get('calendars', [C\CalendarController::class, 'index'])->can('work', Models\CalendarFeed::class);
        Route::post('calendars', [C\CalendarController::class, 'store'])->can('work', Models\CalendarFeed::class);
        Route::delete('calendars/{calendar}', [C\CalendarController::class, 'destroy'])->can('own', 'calendar');

        Route::get('this-week', [C\ThisWeekController::class, 'index'])->can('work', Models\Student::class);

        Route::get('students', [C\StudentController::class, 'index'])->can('work', Models\Student::class);
        Route::post('students', [C\StudentController::class, 'store'])->can('work', Models\Student::class);
        Route::get('students/{student}', [C\StudentController::class, 'show'])->can('own', 'student');
        Route::put('students/{student}', [C\StudentController::class, 'update'])->can('own', 'student');
        Route::delete('students/{student}', [C\StudentController::class, 'destroy'])->can('own', 'student');
        Route::put('students/{student}/left', [C\StudentController::class, 'leave'])->can('own', 'student');
        Route::put('students/{student}/consent', [C\ConsentController::class, 'update'])->can('own', 'student');
        Route::get('students/{student}/accesses', [C\ConsentController::class, 'accesses'])->can('own', 'student');
        Route::get('students/{student}/progress', [C\ProgressController::class, 'show'])->can('own', 'student');
        Route::post('students/{student}/links', [C\FamilyLinkController::class, 'store'])->can('own', 'student');
        Route::put('links/{link}/siblings', [C\FamilyLinkController::class, 'siblings'])->can('own', 'link');
        Route::delete('links/{link}', [C\FamilyLinkController::class, 'destroy'])->can('own', 'link');
        Route::post('students/{student}/learnings', [C\LearningController::class, 'store'])->can('own', 'student');
        Route::get('learnings/{learning}', [C\LearningController::class, 'show'])->can('own', 'learning');
        Route::patch('learnings/{learning}', [C\LearningController::class, 'update'])->can('own', 'learning');
        Route::put('learnings/{learning}/path', [C\LearningController::class, 'path'])->can('own', 'learning');
        Route::post('stages/{stage}/relief', [C\StageController::class, 'relieve'])->can('own', 'stage');
        Route::delete('stages/{stage}/relief', [C\StageController::class, 'takeBack'])->can('own', 'stage');
        Route::put('students/{student}/skipped/{page}', [C\SkippedPageController::class, 'update'])->can('own', 'student')->can('own', 'page');
        Route::delete('students/{student}/skipped/{page}', [C\SkippedPageController::class, 'destroy'])->can('own', 'student')->can('own', 'page');
        Route::patch('stages/{stage}', [C\StageController::class, 'update'])->can('own', 'stage');

        Route::get('paths', [C\PathController::class, 'index'])->can('work', Models\OwnPath::class);
        Route::post('paths', [C\PathController::class, 'store'])->can('work', Models\OwnPath::class);
        Route::put('paths/{path}', [C\PathController::class, 'update'])->can('own', 'path');
        Route::delete('paths/{path}', [C\PathController::class, 'destroy'])->can('own', 'path');

        Route::get('books', [C\BookController::class, 'index'])->can('work', Models\Book::class);
        Route::post('books', [C\BookController::class, 'store'])->can('work', Models\Book::class);
        Route::put('books/{book}', [C\BookController::class, 'update'])->can('own', 'book');
        Route::delete('books/{book}', [C\BookController::class, 'destroy'])->can('own', 'book');
        Route::group(['megabytes' => 21], function (): void {
            Route::post('books/archive', [C\BookArchiveController::class, 'store'])->middleware('throttle:heavy')->can('work', Models\Book::class);
        });
        Route::get('books/{book}/archive', [C\BookArchiveController::class, 'show'])->middleware('throttle:heavy')->can('own', 'book');
        Route::get('books/{book}/contents', [C\BookContentsController::class, 'show'])->can('own', 'book');
        Route::group(['megabytes' => 2], function (): void {
            Route::post('books/{book}/contents', [C\BookContentsController::class, 'store'])->can('own', 'book');
        });
        Route::post('books/{book}/pages', [C\PageController::class, 'store'])->can('own', 'book');
        Route::put('pages/{page}', [C\PageController::class, 'update'])->can('own', 'page');
        Route::delete('pages/{page}', [C\PageController::class, 'destroy'])->can('own', 'page');
        Route::get('pages/{page}/draft', [C\PageDraftController::class, 'show'])->can('own', 'page');
        Route::put('pages/{page}/draft', [C\PageDraftController::class, 'update'])->can('own', 'page');
        Route::delete('pages/{page}/draft', [C\PageDraftController::class, 'destroy'])->can('own', 'page');
        Route::group(['megabytes' => 6], function (): void {
            Route::post('readings', [C\ReadingController::class, 'store'])->middleware('throttle:costly')->can('work', Models\Piece::class);
            Route::post('pages/{page}/pieces', [C\PieceController::class, 'store'])->middleware('throttle:costly')->can('own', 'page');
        });
        Route::post('shorthand', [C\ShorthandController::class, 'store'])->can('work', Models\Piece::class);
        Route::post('shorthand/playback', [C\ShorthandController::class, 'playback'])->can('work', Models\Piece::class);
        Route::post('shorthand/keys', [C\ShorthandController::class, 'keys'])->can('work', Models\Piece::class);
        Route::post('shorthand/changed', [C\ShorthandController::class, 'change'])->can('work', Models\Piece::class);
        Route::get('pieces/{piece}', [C\PieceController::class, 'show'])->can('own', 'piece');
        Route::put('pieces/{piece}', [C\PieceController::class, 'update'])->can('own', 'piece');
        Route::delete('pieces/{piece}', [C\PieceController::class, 'destroy'])->can('own', 'piece');
        Route::get('pieces/{piece}/shorthand', [C\PieceController::class, 'shorthand'])->can('own', 'piece');
        Route::get('pieces/{piece}/playback', [C\PiecePlaybackController::class, 'show'])->can('own', 'piece');
        Route::get('pieces/{piece}/file', [C\PieceFileController::class, 'show'])->can('own', 'piece');
        Route::get('pieces/{piece}/draft', [C\PieceDraftController::class, 'show'])->can('own', 'piece');
        Route::put('pieces/{piece}/draft', [C\PieceDraftController::class, 'update'])->can('own', 'piece');
        Route::delete('pieces/{piece}/draft', [C\PieceDraftController::class, 'destroy'])->can('own', 'piece');
        Route::get('pieces/{piece}/breakdown', [C\BreakdownController::class, 'show'])->can('own', 'piece');
        Route::get('pieces/{piece}/position', [C\PositionController::class, 'show'])->can('own', 'piece');
        Route::put('pieces/{piece}/fingers', [C\OwnFingersController::class, 'update'])->can('own', 'piece');
        Route::put('pieces/{piece}/verdict', [C\VerdictController::class, 'update'])->can('own', 'piece');
        Route::put('pieces/{piece}/octave', [C\OctaveController::class, 'update'])->can('own', 'piece');

        Route::post('students/{student}/weeks', [C\WeekController::class, 'store'])->middleware('throttle:costly')->can('own', 'student');
        Route::get('weeks/{week}', [C\WeekController::class, 'show'])->can('own', 'week');
        Route::put('weeks/{week}', [C\WeekController::class, 'update'])->can('own', 'week');
        Route::post('weeks/{week}/last', [C\WeekPatternController::class, 'last'])->can('own', 'week');
        Route::post('weeks/{week}/copies', [C\WeekPatternController::class, 'copies'])->can('own', 'week');
        Route::post('weeks/{week}/patterns/{pattern}', [C\WeekPatternController::class, 'apply'])->can('own', 'week')->can('own', 'pattern');
        Route::get('patterns', [C\WeekPatternController::class, 'index'])->can('work', Models\WeekPattern::class);
        Route::post('patterns', [C\WeekPatternController::class, 'store'])->can('work', Models\WeekPattern::class);
        Route::delete('patterns/{pattern}', [C\WeekPatternController::class, 'destroy'])->can('own', 'pattern');
        Route::get('holidays', [C\HolidayController::class, 'index'])->can('work', Models\Holiday::class);
        Route::post('holidays', [C\HolidayController::class, 'store'])->can('work', Models\Holiday::class);
        Route::delete('holidays/{holiday}', [C\HolidayController::class, 'destroy'])->can('own', 'holiday');
        Route::get('learnings/{learning}/ladders', [C\LadderController::class, 'index'])->can('own', 'learning');
        Route::put('learnings/{learning}/ladders', [C\LadderController::class, 'update'])->can('own', 'learning');
        Route::put('weeks/{week}/sent', [C\WeekController::class, 'send'])->can('own', 'week');

        Route::post('students/{student}/lessons', [C\LessonController::class, 'store'])->can('own', 'student');
        Route::post('students/{student}/lesson-changes', [C\LessonController::class, 'change'])->can('own', 'student');
        Route::delete('lessons/{lesson}/change', [C\LessonController::class, 'takeBack'])->can('own', 'lesson');
        Route::get('lessons/{lesson}', [C\LessonController::class, 'show'])->can('own', 'lesson');
        Route::patch('lessons/{lesson}', [C\LessonController::class, 'update'])->can('own', 'lesson');
        Route::put('lessons/{lesson}/finished', [C\LessonController::class, 'finish'])->can('own', 'lesson');
        Route::put('lessons/{lesson}/marks/{task}', [C\MarkController::class, 'update'])->can('own', 'lesson')->can('own', 'task');
        Route::post('lessons/{lesson}/slips', [C\SlipController::class, 'store'])->can('own', 'lesson');
        Route::delete('lessons/{lesson}/slips/{key}', [C\SlipController::class, 'takeBack'])->can('own', 'lesson');
        Route::delete('slips/{slip}', [C\SlipController::class, 'destroy'])->can('own', 'slip');
    });

    Route::middleware(['auth:family', 'throttle:home'])->prefix('home')->group(function (): void {
        Route::get('week', [C\HomeController::class, 'show'])->can('home', Models\Practice::class);
        Route::get('tasks/{task}', [C\HomeController::class, 'music'])->can('practise', 'task');
        Route::put('tasks/{task}/practice', [C\PracticeController::class, 'update'])->withTrashed()->can('practise', 'task');
        Route::delete('tasks/{task}/practice/{date}', [C\PracticeController::class, 'destroy'])->withTrashed()->can('practise', 'task');
    });

    Route::any('{anything}', static fn () => abort(404))->where('anything', '.*');
});

Route::get('calendar/{token}.ics', [C\CalendarController::class, 'show'])->middleware('throttle:calendar');

// What makes the home side an application of its own on a phone.
Route::get('home/{token}/app.webmanifest', [C\HomeAppController::class, 'manifest']);
Route::get('home/files.json', [C\HomeAppController::class, 'files']);

Route::view('{anything?}', 'app')->where('anything', '.*');
