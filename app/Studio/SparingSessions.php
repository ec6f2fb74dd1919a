<?php

declare(strict_types=1);

namespace App\Studio;

use Illuminate\Session\FileSessionHandler;

/**
 * Sessions in files, written only when something in them changed or the file has not been touched for a while: while someone types
 * her session is the same from one question to the next, and writing it costs more than most of what is worked out.
 */
final class SparingSessions extends FileSessionHandler
{
    /** Seconds. How long a session lasts is counted from when its file was last written, in days. */
    private const UNTOUCHED = 300;

    /** @var array{string, string}|null id and content as last read */
    private ?array $read = null;

    public function read($sessionId): string|false
    {
        $content = parent::read($sessionId);
        $this->read = $content === '' || $content === false ? null : [$sessionId, $content];

        return $content;
    }

    /** What was read of a session and is still what is kept of it; null when there was none, or it has been written since. */
    public function asRead(string $sessionId): ?string
    {
        return $this->read !== null && $this->read[0] === $sessionId ? $this->read[1] : null;
    }

    public function write($sessionId, $data): bool
    {
        $path = $this->path.'/'.$sessionId;
        if ($this->read === [$sessionId, $data] && is_file($path) && time() - (int) filemtime($path) < self::UNTOUCHED) {
            return true;
        }
        $this->read = null;

        return parent::write($sessionId, $data);
    }
}
