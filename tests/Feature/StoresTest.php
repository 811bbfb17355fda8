<?php

declare(strict_types=1);

use App\Account\SecondStep\OneTimeCode;
use App\Page\Photo\PagePhoto;
use App\Privacy\Erasures;
use Aws\CommandInterface;
use Aws\MockHandler;
use Aws\Result;
use GuzzleHttp\Psr7\Utils;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Encryption\Encrypter;
use Illuminate\Support\Env;
use Illuminate\Support\Facades\Auth;
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

/** Another key, the one of before among the former ones. */
function changeKey(): void
{
    $former = config('app.key');
    $key = 'base64:'.base64_encode(random_bytes(32));
    config(['app.key' => $key, 'app.previous_keys' => [$former]]);
    app()->forgetInstance('encrypter');
    Crypt::clearResolvedInstances();
    expect(app('encrypter'))->toBeInstanceOf(Encrypter::class);
}

it('opens second steps, and knows its old backups, after the key was changed', function (): void {
    $own = new Fixtures();
    $secret = OneTimeCode::secret();
    $own->teacher->update(['second_secret' => $secret]);
    $origin = Erasures::origin($own->studio->id);
    config(['nasturtium.erasures' => storage_path('framework/testing/erasures-'.bin2hex(random_bytes(4)))]);
    Erasures::note($own->studio->id, $own->student->id);
    expect(Erasures::of($origin))->toBe([$own->student->id]);
    changeKey();
    Model::encryptUsing(app('encrypter'));
    expect($own->teacher->refresh()->second_secret)->toBe($secret)
        ->and(Erasures::origin($own->studio->id))->not->toBe($origin)
        ->and(Erasures::of($origin))->toBe([$own->student->id])
        ->and(Erasures::of('0123456789abcdef:'.$own->studio->id))->toBe([]);
});

it('keeps a session open after the key was changed', function (): void {
    $own = new Fixtures();
    $answer = $this->postJson('/api/session', ['email' => $own->teacher->email, 'password' => 'secret-word'])->assertOk();
    $cookie = $answer->getCookie(config('session.cookie'), decrypt: false);
    changeKey();
    app()->forgetInstance('auth');
    app()->forgetInstance('session');
    Auth::clearResolvedInstances();
    $this->withUnencryptedCookie((string) $cookie?->getName(), (string) $cookie?->getValue())->getJson('/api/session')->assertOk()->assertJsonPath('name', 'Teacher');
});
