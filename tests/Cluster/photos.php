<?php

declare(strict_types=1);

/*
 * Photos for the queue while its workers are killed: `put COUNT` hands in the stand-in's page so often and prints the
 * photos; `read FILE` waits until each is read, and says whether each has its lines once.
 */

use App\Page\Page;
use App\Page\Photo\PagePhoto;
use App\Page\Photo\PhotoLine;
use App\Page\Photo\PhotoState;
use App\Page\Photo\TakePhoto;
use Illuminate\Contracts\Console\Kernel;

require __DIR__.'/../../vendor/autoload.php';

$app = require __DIR__.'/../../bootstrap/app.php';
$app->make(Kernel::class)->bootstrap();

if ($argv[1] === 'put') {
    $page = Page::query()->firstOrFail();
    $photos = [];
    for ($nth = 0; $nth < (int) $argv[2]; $nth++) {
        $photo = PagePhoto::query()->create(['studio_id' => $page->studio_id, 'page_id' => $page->id, 'state' => PhotoState::Waiting]);
        $photos[] = $app->make(TakePhoto::class)($photo, (string) file_get_contents(public_path('stand-in/page.jpg')), 1)->id;
    }
    echo json_encode($photos, JSON_THROW_ON_ERROR);
    exit(0);
}

$photos = (array) json_decode((string) file_get_contents($argv[2]), true);
for ($try = 0; $try < 300; $try++) {
    $states = PagePhoto::query()->whereKey($photos)->pluck('state')->all();
    if (array_filter($states, static fn (PhotoState $state): bool => $state !== PhotoState::Read) === []) {
        break;
    }
    usleep(500_000);
}
$lines = PhotoLine::query()->whereIn('page_photo_id', $photos)->get(['page_photo_id', 'position'])->map(static fn (PhotoLine $line): string => "{$line->page_photo_id} {$line->position}")->all();
$isRead = count($states) === count($photos) && array_unique(array_map(static fn (PhotoState $state): string => $state->value, $states)) === [PhotoState::Read->value];
$once = count($lines) === count(array_unique($lines)) && count($lines) >= 3 * count($photos);
echo json_encode(['read' => $isRead, 'once' => $once, 'states' => $states]), "\n";
exit($isRead && $once ? 0 : 1);
