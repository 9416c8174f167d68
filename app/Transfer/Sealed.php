<?php

declare(strict_types=1);

namespace App\Transfer;

use Ironwort\Core\Calc\BadInput;

/**
 * A file under a passphrase, by libsodium: Argon2id makes the key, XChaCha20-Poly1305 seals it block by block.
 *
 *     IRONWORT-SEALED-1 newline, salt (16 bytes), header (24 bytes), blocks of 64 KiB with 17 bytes each
 */
final readonly class Sealed
{
    private const MAGIC = "IRONWORT-SEALED-1\n";

    private const BLOCK = 65536;

    public static function is(string $file): bool
    {
        return (string) @file_get_contents($file, false, null, 0, strlen(self::MAGIC)) === self::MAGIC;
    }

    public static function seal(string $from, string $to, string $passphrase): void
    {
        [$in, $out] = self::both($from, $to);
        $salt = random_bytes(SODIUM_CRYPTO_PWHASH_SALTBYTES);
        /** @var array{string, string} $begun */
        $begun = sodium_crypto_secretstream_xchacha20poly1305_init_push(self::key($passphrase, $salt));
        [$state, $header] = $begun;
        fwrite($out, self::MAGIC . $salt . $header);
        do {
            $block = (string) fread($in, self::BLOCK);
            $last = feof($in);
            fwrite(
                $out,
                sodium_crypto_secretstream_xchacha20poly1305_push(
                    $state,
                    $block,
                    '',
                    $last
                        ? SODIUM_CRYPTO_SECRETSTREAM_XCHACHA20POLY1305_TAG_FINAL
                        : SODIUM_CRYPTO_SECRETSTREAM_XCHACHA20POLY1305_TAG_MESSAGE,
                ),
            );
        } while (!$last);
        fclose($in);
        fclose($out);
    }

    /** @throws BadInput at `file` where the passphrase is another, or the file was cut or changed */
    public static function open(string $from, string $to, string $passphrase): void
    {
        [$in, $out] = self::both($from, $to);
        fread($in, strlen(self::MAGIC));
        $salt = (string) fread($in, SODIUM_CRYPTO_PWHASH_SALTBYTES);
        $header = (string) fread($in, SODIUM_CRYPTO_SECRETSTREAM_XCHACHA20POLY1305_HEADERBYTES);
        $whole = false;
        if (strlen($header) === SODIUM_CRYPTO_SECRETSTREAM_XCHACHA20POLY1305_HEADERBYTES) {
            $state = sodium_crypto_secretstream_xchacha20poly1305_init_pull($header, self::key($passphrase, $salt));
            while (!feof($in) && !$whole) {
                $block = (string) fread($in, self::BLOCK + SODIUM_CRYPTO_SECRETSTREAM_XCHACHA20POLY1305_ABYTES);
                /** @var array{string, int}|false $opened */
                $opened =
                    strlen($block) < SODIUM_CRYPTO_SECRETSTREAM_XCHACHA20POLY1305_ABYTES
                        ? false
                        : sodium_crypto_secretstream_xchacha20poly1305_pull($state, $block);
                if ($opened === false) {
                    break;
                }
                fwrite($out, $opened[0]);
                $whole = $opened[1] === SODIUM_CRYPTO_SECRETSTREAM_XCHACHA20POLY1305_TAG_FINAL;
            }
        }
        fclose($in);
        fclose($out);
        if (!$whole) {
            unlink($to);
            throw BadInput::at('file', 'This passphrase does not open it, or the file is damaged.');
        }
    }

    private static function key(#[\SensitiveParameter] string $passphrase, string $salt): string
    {
        return sodium_crypto_pwhash(
            SODIUM_CRYPTO_SECRETSTREAM_XCHACHA20POLY1305_KEYBYTES,
            $passphrase,
            $salt,
            SODIUM_CRYPTO_PWHASH_OPSLIMIT_INTERACTIVE,
            SODIUM_CRYPTO_PWHASH_MEMLIMIT_INTERACTIVE,
        );
    }

    /** @return array{resource, resource} */
    private static function both(string $from, string $to): array
    {
        $in = @fopen($from, 'r');
        $was = umask(0077);
        $out = $in === false ? false : @fopen($to, 'w');
        umask($was);

        return $in === false || $out === false
            ? throw BadInput::at('file', ($in === false ? $from : $to) . ' cannot be opened.')
            : [$in, $out];
    }
}
