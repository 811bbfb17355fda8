<?php

declare(strict_types=1);

use App\Account\AccountController;
use App\Account\Letters\Mail;
use App\Account\Members\InvitationsController;
use App\Account\Members\MembersController;
use App\Account\Members\Membership;
use App\Account\Members\PlacesController;
use App\Account\PasswordResetController;
use App\Account\RegistrationController;
use App\Account\SecondStep\SecondStepController;
use App\Account\SessionController;
use App\Account\SessionsController;
use App\Account\Studio;
use App\Account\StudioController;
use App\Archive\ArchiveController;
use App\Archive\ExportController;
use App\Demo\DemoController;
use App\Desk\BreakdownController;
use App\Desk\OctaveController;
use App\Desk\OwnFingersController;
use App\Desk\PiecePlaybackController;
use App\Desk\PositionController;
use App\Desk\QuestionsController;
use App\Desk\VerdictController;
use App\Drill\RoomController;
use App\Drill\TrainingController;
use App\Home\HomeAppController;
use App\Home\HomeController;
use App\Home\Letters\MailController;
use App\Home\Letters\SendWeekController;
use App\Home\PracticeController;
use App\Home\WordController;
use App\Http\Middleware\LimitBody;
use App\Http\Middleware\TryAgain;
use App\Http\Middleware\WorksIn;
use App\Lead\LeadController;
use App\Lead\LedHomeController;
use App\Lead\LedLessonController;
use App\Lesson\Lesson;
use App\Lesson\LessonController;
use App\Lesson\MarkController;
use App\Lesson\PageMarkController;
use App\Lesson\SlipController;
use App\Lesson\Timetable\CalendarController;
use App\Lesson\Timetable\CalendarFeed;
use App\Lesson\Timetable\HolidayController;
use App\Listening\TakeController;
use App\Page\Book;
use App\Page\BookArchiveController;
use App\Page\BookContentsController;
use App\Page\BookController;
use App\Page\Entry\PageDraftController;
use App\Page\Entry\PieceDraftController;
use App\Page\Entry\ReadingController;
use App\Page\Entry\ShorthandController;
use App\Page\PageController;
use App\Page\Photo\CameraController;
use App\Page\Photo\CorrectionController;
use App\Page\Photo\KeptPhotoController;
use App\Page\Photo\PagePhoto;
use App\Page\Photo\PhotoController;
use App\Page\Piece\Piece;
use App\Page\Piece\PieceController;
use App\Page\Piece\PieceFileController;
use App\Progress\ProgressController;
use App\Sheet\Worksheet;
use App\Sheet\WorksheetController;
use App\Student\ConsentController;
use App\Student\Family\FamilyLinkController;
use App\Student\Learning\LadderController;
use App\Student\Learning\LearningController;
use App\Student\Learning\SkippedPageController;
use App\Student\Learning\StageController;
use App\Student\Learning\StudentBookController;
use App\Student\Paths\OwnPath;
use App\Student\Paths\PathController;
use App\Student\Performances\PerformanceController;
use App\Student\Student;
use App\Student\StudentController;
use App\Student\Timetable\Holiday;
use App\Week\Patterns\WeekPattern;
use App\Week\Patterns\WeekPatternController;
use App\Week\Practice;
use App\Week\ThisWeek\FirstStepsController;
use App\Week\ThisWeek\ThisWeekController;
use App\Week\WeekController;

use Illuminate\Support\Facades\Route;

/*
 * Every route of the API names its policy with `can`. A group that takes files names its megabytes; anything else is a
 * megabyte at most. The browser's pages are one page: the front end.
 */
Route::prefix('api')->middleware([LimitBody::class, TryAgain::class])->group(function (): void {
    Route::post('session', [SessionController::class, 'store'])->middleware('throttle:sign-in');
    Route::get('welcome', [RegistrationController::class, 'show']);
    Route::post('studios', [RegistrationController::class, 'store'])->middleware(['throttle:account', 'throttle:heavy']);
    Route::post('password-resets', [PasswordResetController::class, 'store'])->middleware('throttle:forgotten');
    Route::put('password-resets', [PasswordResetController::class, 'update'])->middleware('throttle:forgotten');

    Route::post('invitations/opened', [InvitationsController::class, 'open'])->middleware('throttle:account');
    Route::post('invitations', [InvitationsController::class, 'accept'])->middleware(['throttle:account', 'throttle:heavy']);

    Route::middleware(['auth', WorksIn::class])->group(function (): void {
        Route::get('session', [SessionController::class, 'show'])->can('work', Studio::class);
        Route::delete('session', [SessionController::class, 'destroy'])->can('work', Studio::class);
        Route::put('session/studio', [PlacesController::class, 'update'])->can('work', Studio::class);
        Route::post('account/studios', [PlacesController::class, 'store'])->middleware('throttle:heavy')->can('work', Studio::class);
        Route::get('account/demo', [DemoController::class, 'show'])->can('work', Studio::class);
        Route::delete('account/demo', [DemoController::class, 'destroy'])->can('work', Studio::class);
        Route::post('account/demo', [DemoController::class, 'store'])->middleware('throttle:heavy')->can('work', Studio::class);
        Route::get('members', [MembersController::class, 'index'])->can('teach', Membership::class);
        Route::post('members', [MembersController::class, 'store'])->middleware('throttle:mail')->can('leadHere', Membership::class);
        Route::delete('members', [MembersController::class, 'leave'])->can('work', Membership::class);
        Route::post('members/{member}/invitation', [MembersController::class, 'again'])->middleware('throttle:mail')->can('lead', 'member');
        Route::patch('members/{member}', [MembersController::class, 'update'])->can('lead', 'member');
        Route::delete('members/{member}', [MembersController::class, 'destroy'])->can('lead', 'member');
        Route::get('account', [AccountController::class, 'show'])->can('work', Studio::class);
        Route::patch('account', [AccountController::class, 'update'])->can('work', Studio::class);
        Route::get('account/sessions', [AccountController::class, 'sessions'])->can('work', Studio::class);
        Route::delete('account/sessions', [SessionsController::class, 'destroyAll'])->can('work', Studio::class);
        Route::delete('account/sessions/{token}', [SessionsController::class, 'destroy'])->can('work', Studio::class);
        Route::middleware('throttle:account')->group(function (): void {
            Route::put('account/password', [AccountController::class, 'password'])->can('work', Studio::class);
            Route::put('account/email', [AccountController::class, 'email'])->middleware('throttle:mail')->can('work', Studio::class);
            Route::put('account/email/confirmed', [AccountController::class, 'confirm'])->can('work', Studio::class);
            Route::post('account/second-step', [SecondStepController::class, 'store'])->can('work', Studio::class);
            Route::put('account/second-step', [SecondStepController::class, 'update'])->can('work', Studio::class);
            Route::delete('account/second-step', [SecondStepController::class, 'destroy'])->can('work', Studio::class);
        });
        Route::patch('studios/{studio}', [StudioController::class, 'update'])->can('own', 'studio');
        Route::delete('studios/{studio}', [StudioController::class, 'destroy'])->middleware('throttle:account')->can('lead', 'studio');

        Route::get('studios/{studio}/archives', [ArchiveController::class, 'index'])->can('own', 'studio');
        Route::post('studios/{studio}/archives', [ArchiveController::class, 'store'])->middleware('throttle:heavy')->can('own', 'studio');
        Route::get('archives/{archive}', [ArchiveController::class, 'show'])->middleware('throttle:heavy')->can('own', 'archive');
        Route::delete('archives/{archive}', [ArchiveController::class, 'destroy'])->can('own', 'archive');
        Route::group(['megabytes' => 512], function (): void {
            Route::post('studios/{studio}/restore', [ArchiveController::class, 'restore'])->middleware('throttle:heavy')->can('lead', 'studio');
        });
        Route::get('practice.csv', [ExportController::class, 'practice'])->middleware('throttle:heavy')->can('teach', Practice::class);
        Route::get('marks.csv', [ExportController::class, 'marks'])->middleware('throttle:heavy')->can('teach', Lesson::class);
        Route::get('students/{student}/export', [ExportController::class, 'student'])->middleware('throttle:heavy')->can('own', 'student');
        Route::get('mails', [MailController::class, 'index'])->can('teach', Mail::class);
        Route::get('mails/refused', [MailController::class, 'refused'])->can('teach', Mail::class);
        Route::put('mails/{mail}', [MailController::class, 'update'])->middleware('throttle:mail')->can('own', 'mail');
        Route::post('students/{student}/report', [MailController::class, 'report'])->middleware('throttle:mail')->can('own', 'student');
        Route::get('calendars', [CalendarController::class, 'index'])->can('teach', CalendarFeed::class);
        Route::post('calendars', [CalendarController::class, 'store'])->can('teach', CalendarFeed::class);
        Route::delete('calendars/{calendar}', [CalendarController::class, 'destroy'])->can('own', 'calendar');

        Route::get('this-week', [ThisWeekController::class, 'index'])->can('work', Student::class);
        Route::get('first-steps', [FirstStepsController::class, 'show'])->can('work', Studio::class);

        Route::get('students', [StudentController::class, 'index'])->can('work', Student::class);
        Route::post('students', [StudentController::class, 'store'])->can('teach', Student::class);
        Route::get('students/{student}', [StudentController::class, 'show'])->can('accompany', 'student');
        Route::get('students/{student}/room', [RoomController::class, 'show'])->can('accompany', 'student');
        Route::post('students/{student}/answers', [RoomController::class, 'answers'])->can('accompany', 'student');
        Route::put('students/{student}/sight', [RoomController::class, 'sight'])->can('accompany', 'student');
        Route::put('students/{student}/sight/take', [RoomController::class, 'sightHeard'])->can('accompany', 'student');
        Route::get('students/{student}/training', [TrainingController::class, 'show'])->can('accompany', 'student');
        Route::put('students/{student}/training', [TrainingController::class, 'update'])->can('accompany', 'student');
        Route::get('students/{student}/signed-off', [StudentController::class, 'signedOff'])->can('accompany', 'student');
        Route::put('students/{student}', [StudentController::class, 'update'])->can('own', 'student');
        Route::delete('students/{student}', [StudentController::class, 'destroy'])->can('own', 'student');
        Route::put('students/{student}/left', [StudentController::class, 'leave'])->can('own', 'student');
        Route::put('students/{student}/teacher', [StudentController::class, 'handOver'])->can('own', 'student');
        Route::put('students/{student}/consent', [ConsentController::class, 'update'])->can('own', 'student');
        Route::get('students/{student}/accesses', [ConsentController::class, 'accesses'])->can('own', 'student');
        Route::get('progress/thorns', [ProgressController::class, 'thorns'])->can('teach', Piece::class);
        Route::get('students/{student}/progress', [ProgressController::class, 'show'])->can('accompany', 'student');
        Route::post('students/{student}/links', [FamilyLinkController::class, 'store'])->can('own', 'student');
        Route::put('links/{link}/siblings', [FamilyLinkController::class, 'siblings'])->can('own', 'link');
        Route::delete('links/{link}', [FamilyLinkController::class, 'destroy'])->can('own', 'link');
        Route::post('students/{student}/learnings', [LearningController::class, 'store'])->can('accompany', 'student');
        Route::get('learnings/{learning}', [LearningController::class, 'show'])->can('accompany', 'learning');
        Route::patch('learnings/{learning}', [LearningController::class, 'update'])->can('accompany', 'learning');
        Route::put('learnings/{learning}/path', [LearningController::class, 'path'])->can('accompany', 'learning');
        Route::post('stages/{stage}/relief', [StageController::class, 'relieve'])->can('accompany', 'stage');
        Route::delete('stages/{stage}/relief', [StageController::class, 'takeBack'])->can('accompany', 'stage');
        Route::put('students/{student}/skipped/{page}', [SkippedPageController::class, 'update'])->can('accompany', 'student')->can('see', 'page');
        Route::delete('students/{student}/skipped/{page}', [SkippedPageController::class, 'destroy'])->can('accompany', 'student')->can('see', 'page');
        Route::put('students/{student}/books/{book}', [StudentBookController::class, 'update'])->can('accompany', 'student')->can('see', 'book');
        Route::delete('students/{student}/books/{book}', [StudentBookController::class, 'destroy'])->can('accompany', 'student')->can('see', 'book');
        Route::patch('stages/{stage}', [StageController::class, 'update'])->can('accompany', 'stage');

        Route::get('worksheets', [WorksheetController::class, 'index'])->can('teach', Worksheet::class);
        Route::post('worksheets', [WorksheetController::class, 'store'])->can('teach', Worksheet::class);
        Route::post('worksheets/preview', [WorksheetController::class, 'preview'])->can('teach', Worksheet::class);
        Route::get('worksheets/{worksheet}', [WorksheetController::class, 'show'])->can('own', 'worksheet');
        Route::delete('worksheets/{worksheet}', [WorksheetController::class, 'destroy'])->can('own', 'worksheet');
        Route::put('worksheets/{worksheet}/students/{student}', [WorksheetController::class, 'mark'])->can('own', 'worksheet')->can('own', 'student');
        Route::delete('worksheets/{worksheet}/students/{student}', [WorksheetController::class, 'takeBack'])->can('own', 'worksheet')->can('own', 'student');

        Route::get('paths', [PathController::class, 'index'])->can('work', OwnPath::class);
        Route::post('paths', [PathController::class, 'store'])->can('teach', OwnPath::class);
        Route::put('paths/{path}', [PathController::class, 'update'])->can('own', 'path');
        Route::delete('paths/{path}', [PathController::class, 'destroy'])->can('own', 'path');

        Route::get('books', [BookController::class, 'index'])->can('work', Book::class);
        Route::post('books', [BookController::class, 'store'])->can('teach', Book::class);
        Route::put('books/{book}', [BookController::class, 'update'])->can('own', 'book');
        Route::delete('books/{book}', [BookController::class, 'destroy'])->can('own', 'book');
        Route::group(['megabytes' => 21], function (): void {
            Route::post('books/archive', [BookArchiveController::class, 'store'])->middleware('throttle:heavy')->can('teach', Book::class);
        });
        Route::get('books/{book}/archive', [BookArchiveController::class, 'show'])->middleware('throttle:heavy')->can('own', 'book');
        Route::get('books/{book}/contents', [BookContentsController::class, 'show'])->can('see', 'book');
        Route::group(['megabytes' => 2], function (): void {
            Route::post('books/{book}/contents', [BookContentsController::class, 'store'])->can('own', 'book');
        });
        Route::post('books/{book}/pages', [PageController::class, 'store'])->can('own', 'book');
        Route::put('pages/{page}', [PageController::class, 'update'])->can('own', 'page');
        Route::delete('pages/{page}', [PageController::class, 'destroy'])->can('own', 'page');
        Route::get('pages/{page}/draft', [PageDraftController::class, 'show'])->can('own', 'page');
        Route::put('pages/{page}/draft', [PageDraftController::class, 'update'])->can('own', 'page');
        Route::delete('pages/{page}/draft', [PageDraftController::class, 'destroy'])->can('own', 'page');
        Route::group(['megabytes' => 6], function (): void {
            Route::post('readings', [ReadingController::class, 'store'])->middleware('throttle:costly')->can('teach', Piece::class);
            Route::post('pages/{page}/pieces', [PieceController::class, 'store'])->middleware('throttle:costly')->can('own', 'page');
        });
        Route::get('photos', [PhotoController::class, 'index'])->can('teach', PagePhoto::class);
        Route::get('photo-figures', [CorrectionController::class, 'figures'])->can('teach', PagePhoto::class);
        Route::group(['megabytes' => 17], function (): void {
            Route::post('pages/{page}/photos', [PhotoController::class, 'store'])->middleware('throttle:costly')->can('own', 'page');
        });
        Route::post('pages/{page}/photo-links', [PhotoController::class, 'link'])->middleware('throttle:costly')->can('own', 'page');
        Route::get('pages/{page}/kept-photos', [KeptPhotoController::class, 'index'])->can('own', 'page');
        Route::get('kept-photos/{keptPhoto}', [KeptPhotoController::class, 'show'])->can('own', 'keptPhoto');
        Route::delete('kept-photos/{keptPhoto}', [KeptPhotoController::class, 'destroy'])->can('own', 'keptPhoto');
        Route::get('photos/{photo}', [PhotoController::class, 'show'])->can('own', 'photo');
        Route::delete('photos/{photo}', [PhotoController::class, 'destroy'])->can('own', 'photo');
        Route::get('photos/{photo}/picture', [PhotoController::class, 'picture'])->can('own', 'photo');
        Route::get('photos/{photo}/lines/{line}', [PhotoController::class, 'line'])->can('own', 'photo');
        Route::put('photos/{photo}/corners', [PhotoController::class, 'corners'])->middleware('throttle:costly')->can('own', 'photo');
        Route::get('photos/{photo}/reading', [CorrectionController::class, 'show'])->can('own', 'photo');
        Route::put('photos/{photo}/corrections', [CorrectionController::class, 'update'])->can('own', 'photo');
        Route::put('photos/{photo}/typed', [CorrectionController::class, 'finish'])->can('own', 'photo');
        Route::post('shorthand', [ShorthandController::class, 'store'])->can('teach', Piece::class);
        Route::post('shorthand/playback', [ShorthandController::class, 'playback'])->can('teach', Piece::class);
        Route::post('shorthand/keys', [ShorthandController::class, 'keys'])->can('teach', Piece::class);
        Route::post('shorthand/changed', [ShorthandController::class, 'change'])->can('teach', Piece::class);
        Route::get('pieces/{piece}', [PieceController::class, 'show'])->can('see', 'piece');
        Route::put('pieces/{piece}', [PieceController::class, 'update'])->can('own', 'piece');
        Route::delete('pieces/{piece}', [PieceController::class, 'destroy'])->can('own', 'piece');
        Route::get('pieces/{piece}/shorthand', [PieceController::class, 'shorthand'])->can('see', 'piece');
        Route::get('pieces/{piece}/playback', [PiecePlaybackController::class, 'show'])->can('see', 'piece');
        Route::get('pieces/{piece}/file', [PieceFileController::class, 'show'])->can('see', 'piece');
        Route::get('pieces/{piece}/draft', [PieceDraftController::class, 'show'])->can('own', 'piece');
        Route::put('pieces/{piece}/draft', [PieceDraftController::class, 'update'])->can('own', 'piece');
        Route::delete('pieces/{piece}/draft', [PieceDraftController::class, 'destroy'])->can('own', 'piece');
        Route::get('pieces/{piece}/breakdown', [BreakdownController::class, 'show'])->can('see', 'piece');
        Route::get('pieces/{piece}/questions', [QuestionsController::class, 'show'])->can('see', 'piece');
        Route::get('pieces/{piece}/words', [QuestionsController::class, 'words'])->can('see', 'piece');
        Route::get('pieces/{piece}/position', [PositionController::class, 'show'])->can('see', 'piece');
        Route::put('pieces/{piece}/fingers', [OwnFingersController::class, 'update'])->can('own', 'piece');
        Route::put('pieces/{piece}/verdict', [VerdictController::class, 'update'])->can('own', 'piece');
        Route::put('pieces/{piece}/octave', [OctaveController::class, 'update'])->can('own', 'piece');

        Route::post('students/{student}/weeks', [WeekController::class, 'store'])->middleware('throttle:costly')->can('accompany', 'student');
        Route::get('weeks/{week}', [WeekController::class, 'show'])->can('accompany', 'week');
        Route::put('weeks/{week}', [WeekController::class, 'update'])->can('accompany', 'week');
        Route::post('weeks/{week}/last', [WeekPatternController::class, 'last'])->can('accompany', 'week');
        Route::post('weeks/{week}/copies', [WeekPatternController::class, 'copies'])->can('accompany', 'week');
        Route::post('weeks/{week}/patterns/{pattern}', [WeekPatternController::class, 'apply'])->can('accompany', 'week')->can('see', 'pattern');
        Route::get('patterns', [WeekPatternController::class, 'index'])->can('work', WeekPattern::class);
        Route::post('patterns', [WeekPatternController::class, 'store'])->can('teach', WeekPattern::class);
        Route::delete('patterns/{pattern}', [WeekPatternController::class, 'destroy'])->can('own', 'pattern');
        Route::get('holidays', [HolidayController::class, 'index'])->can('work', Holiday::class);
        Route::post('holidays', [HolidayController::class, 'store'])->can('teach', Holiday::class);
        Route::delete('holidays/{holiday}', [HolidayController::class, 'destroy'])->can('own', 'holiday');
        Route::post('students/{student}/performances', [PerformanceController::class, 'store'])->can('accompany', 'student');
        Route::put('performances/{performance}', [PerformanceController::class, 'update'])->can('accompany', 'performance');
        Route::delete('performances/{performance}', [PerformanceController::class, 'destroy'])->can('accompany', 'performance');
        Route::get('learnings/{learning}/ladders', [LadderController::class, 'index'])->can('accompany', 'learning');
        Route::put('learnings/{learning}/ladders', [LadderController::class, 'update'])->can('accompany', 'learning');
        Route::put('weeks/{week}/sent', [SendWeekController::class, 'update'])->can('accompany', 'week');

        Route::post('students/{student}/lessons', [LessonController::class, 'store'])->can('accompany', 'student');
        Route::post('students/{student}/lesson-changes', [LessonController::class, 'change'])->can('accompany', 'student');
        Route::delete('lessons/{lesson}/change', [LessonController::class, 'takeBack'])->can('accompany', 'lesson');
        Route::get('lessons/{lesson}', [LessonController::class, 'show'])->can('accompany', 'lesson');
        Route::patch('lessons/{lesson}', [LessonController::class, 'update'])->can('accompany', 'lesson');
        Route::put('lessons/{lesson}/finished', [LessonController::class, 'finish'])->can('accompany', 'lesson');
        Route::put('lessons/{lesson}/pages/{learning}', [PageMarkController::class, 'update'])->can('accompany', 'lesson')->can('accompany', 'learning');
        Route::put('lessons/{lesson}/marks/{task}', [MarkController::class, 'update'])->can('accompany', 'lesson')->can('accompany', 'task');
        Route::put('tasks/{task}/takes', [TakeController::class, 'atLesson'])->can('accompany', 'task');
        Route::get('students/{student}/led-lessons', [LedLessonController::class, 'index'])->can('accompany', 'student');
        Route::post('students/{student}/led-lessons', [LedLessonController::class, 'store'])->can('accompany', 'student');
        Route::put('led-lessons/{ledLesson}', [LedLessonController::class, 'update'])->can('accompany', 'ledLesson');
        Route::put('led-lessons/{ledLesson}/sent', [LedLessonController::class, 'send'])->can('accompany', 'ledLesson');
        Route::delete('led-lessons/{ledLesson}', [LedLessonController::class, 'destroy'])->can('accompany', 'ledLesson');
        Route::get('led-steps/{ledStep}/voice', [LedLessonController::class, 'voice'])->can('accompany', 'ledStep');
        Route::put('led-steps/{ledStep}/voice', [LedLessonController::class, 'say'])->can('accompany', 'ledStep');
        Route::get('lessons/{lesson}/takes', [TakeController::class, 'index'])->can('accompany', 'lesson');
        Route::post('lessons/{lesson}/slips', [SlipController::class, 'store'])->can('accompany', 'lesson');
        Route::delete('lessons/{lesson}/slips/{key}', [SlipController::class, 'takeBack'])->can('accompany', 'lesson');
        Route::delete('slips/{slip}', [SlipController::class, 'destroy'])->can('accompany', 'slip');
    });

    Route::middleware(['auth:family', 'throttle:home'])->prefix('home')->group(function (): void {
        Route::get('week', [HomeController::class, 'show'])->can('home', Practice::class);
        Route::get('room', [RoomController::class, 'home'])->can('home', Practice::class);
        Route::get('lead', [LeadController::class, 'show'])->can('home', Practice::class);
        Route::post('answers', [RoomController::class, 'answersFromHome'])->can('home', Practice::class);
        Route::put('sight', [RoomController::class, 'sightFromHome'])->can('home', Practice::class);
        Route::put('sight/take', [RoomController::class, 'sightHeardFromHome'])->can('home', Practice::class);
        Route::put('word', [WordController::class, 'update'])->can('home', Practice::class);
        Route::get('tasks/{task}', [HomeController::class, 'music'])->can('practise', 'task');
        Route::put('tasks/{task}/takes', [TakeController::class, 'store'])->can('practise', 'task');
        Route::get('led-lessons/{ledLesson}', [LedHomeController::class, 'show'])->can('practise', 'ledLesson');
        Route::put('led-lessons/{ledLesson}/done', [LedHomeController::class, 'done'])->can('practise', 'ledLesson');
        Route::get('led-steps/{ledStep}/voice', [LedHomeController::class, 'voice'])->can('practise', 'ledStep');
        Route::put('led-steps/{ledStep}/takes', [LedHomeController::class, 'take'])->can('practise', 'ledStep');
        Route::put('tasks/{task}/practice', [PracticeController::class, 'update'])->withTrashed()->can('practise', 'task');
        Route::delete('tasks/{task}/practice/{date}', [PracticeController::class, 'destroy'])->withTrashed()->can('practise', 'task');
    });

    Route::middleware(['auth:camera', 'throttle:home'])->group(function (): void {
        Route::get('camera', [CameraController::class, 'show'])->can('send', PagePhoto::class);
        Route::group(['megabytes' => 17], function (): void {
            Route::post('camera', [CameraController::class, 'store'])->can('send', PagePhoto::class);
        });
    });

    Route::any('{anything}', static fn () => abort(404))->where('anything', '.*');
});

Route::get('calendar/{token}.ics', [CalendarController::class, 'show'])->middleware('throttle:calendar');

// What makes the home side an application of its own on a phone.
Route::get('home/{token}/app.webmanifest', [HomeAppController::class, 'manifest']);
Route::get('home/files.json', [HomeAppController::class, 'files']);

Route::view('{anything?}', 'app')->where('anything', '.*');
