<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/**
 * The way into a book nobody has a login to: a link that works once. Sessions are found by their person.
 *
 * Protects: the link itself is never kept, only what it is recognised by.
 */
return new class extends Migration {
    public function up(): void
    {
        DB::unprepared(
            <<<'SQL'
            CREATE TABLE first_owner_links (
                hash       char(64) PRIMARY KEY,
                expires_at timestamptz NOT NULL
            );
            CREATE INDEX sessions_user ON sessions (user_id) WHERE user_id IS NOT NULL;
            SQL
            ,
        );
    }

    public function down(): void
    {
        DB::unprepared('DROP INDEX sessions_user; DROP TABLE first_owner_links');
    }
};
