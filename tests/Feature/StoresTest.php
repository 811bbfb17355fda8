<?php

declare(strict_types=1);

use App\Account\SecondStep\OneTimeCode;
use App\Page\Photo\PagePhoto;
use App\Privacy\Erasures;
use Aws\CommandInterface;
use Aws\MockHandler;
use Aws\Result;
use GuzzleHttp\Psr7\Utils;
use Illuminate\Support\Env;
use Illuminate\Support\Facades\Crypt;
use Illuminate\Support\Facades\Storage;
use Tests\Fixtures;

/** What a store that is shared by machines is asked, as NAME key. */
function sharedStore(): ArrayObject
{
    $asked = new ArrayObject();
    $kept = [];
    $answer = static function (CommandInterface $command) use ($asked, &$kept): Result {
        $asked[] = "{$command->getName()} {$command['Bucket']}/{$command['Key']}";
        if ($command->getName() === 'PutObject') {
            $kept[$command['Key']] = (string) $command['Body'];
        }

        return new Result($command->getName() === 'GetObject' ? ['Body' => Utils::streamFor($kept[$command['Key']] ?? '')] : []);
    };
    foreach (['PHOTOS_DISK' => 's3', 'AWS_BUCKET' => 'school', 'AWS_ENDPOINT' => 'http://127.0.0.1:9', 'AWS_ACCESS_KEY_ID' => 'key', 'AWS_SECRET_ACCESS_KEY' => 'secret'] as $name => $value) {
        Env::getRepository()->set($name, $value);
    }
    $disk = (require config_path('filesystems.php'))['disks']['photos'];
    foreach (['PHOTOS_DISK', 'AWS_BUCKET', 'AWS_ENDPOINT', 'AWS_ACCESS_KEY_ID', 'AWS_SECRET_ACCESS_KEY'] as $name) {
        Env::getRepository()->clear($name);
    }
    config(['filesystems.disks.photos' => [...$disk, 'handler' => new MockHandler(array_fill(0, 9, $answer))]]);
    Storage::forgetDisk(PagePhoto::DISK);

    return $asked;
}

it('keeps uploads in a store that machines share, where one is named', function (): void {
    $asked = sharedStore();
    $disk = Storage::disk(PagePhoto::DISK);
    $disk->put('a-picture', 'its bytes');
    expect($disk->get('a-picture'))->toBe('its bytes');
    $disk->delete('a-picture');
    expect((array) $asked)->toBe(['PutObject school/photos/a-picture', 'GetObject school/photos/a-picture', 'DeleteObject school/photos/a-picture']);
});

it('keeps them beside itself otherwise', function (): void {
    expect((require config_path('filesystems.php'))['disks']['photos'])->toMatchArray(['driver' => 'local', 'visibility' => 'private']);
});

/** Another key; the one of before is among the former ones, or is not. */
function changeKey(bool $keepsFormer = true): void
{
    $former = config('app.key');
    config(['app.key' => 'base64:'.base64_encode(random_bytes(32)), 'app.previous_keys' => $keepsFormer ? [$former] : []]);
    app()->forgetInstance('encrypter');
    Crypt::clearResolvedInstances();
}

it('opens second steps, and knows its old backups, after the key was changed', function (): void {
    $own = new Fixtures();
    $secret = OneTimeCode::secret();
    $own->teacher->update(['second_secret' => $secret]);
    $origin = Erasures::origin($own->studio->id);
    $file = (string) tempnam(sys_get_temp_dir(), 'erasures');
    config(['nasturtium.erasures' => $file]);
    Erasures::note($own->studio->id, $own->student->id);
    expect(Erasures::of($origin))->toBe([$own->student->id]);
    changeKey();
    expect($own->teacher->refresh()->second_secret)->toBe($secret)
        ->and(Erasures::origin($own->studio->id))->not->toBe($origin)
        ->and(Erasures::of($origin))->toBe([$own->student->id])
        ->and(Erasures::of('0123456789abcdef:'.$own->studio->id))->toBe([]);
    unlink($file);
});

it('keeps a session open after the key was changed, while the former one is named', function (bool $isNamed): void {
    config(['session.driver' => 'database']);
    $own = new Fixtures();
    $answer = $this->postJson('/api/session', ['email' => $own->teacher->email, 'password' => 'secret-word'])->assertOk();
    $cookie = $answer->getCookie(config('session.cookie'), decrypt: false);
    changeKey($isNamed);
    // Nothing is left of the first request but the cookie and the rows.
    app('auth')->forgetGuards();
    app('session')->forgetDrivers();
    app()->forgetInstance('session.store');
    $this->withCredentials()->withUnencryptedCookie((string) $cookie?->getName(), (string) $cookie?->getValue())->getJson('/api/session')->assertStatus($isNamed ? 200 : 401);
})->with([true, false]);
