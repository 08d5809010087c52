<?php

declare(strict_types=1);

namespace Tests\Served;

use CurlHandle;

/** A browser's part of the talk: cookies, the token, JSON. */
final class Client
{
    private string $token = '';

    private string $jar;

    public function __construct(private readonly string $url)
    {
        $this->jar = (string) tempnam(sys_get_temp_dir(), 'jar');
        $this->token = $this->get('/api/session')['body']['csrf'] ?? '';
    }

    public function __destruct()
    {
        unlink($this->jar);
    }

    /** @return array{status: int, body: array<string, mixed>, headers: string} */
    public function get(string $path): array
    {
        return $this->finish($this->request('GET', $path));
    }

    /**
     * @param  array<string, mixed>  $body
     * @return array{status: int, body: array<string, mixed>, headers: string}
     */
    public function post(string $path, array $body, bool $withToken = true): array
    {
        $answer = $this->finish($this->request('POST', $path, $body, $withToken));
        $this->token = $answer['body']['csrf'] ?? $this->token;

        return $answer;
    }

    /**
     * @param  array<string, mixed>  $body
     * @return array{status: int, body: array<string, mixed>, headers: string}
     */
    public function put(string $path, array $body): array
    {
        return $this->finish($this->request('PUT', $path, $body));
    }

    /** @return array{status: int, body: array<string, mixed>, headers: string} */
    public function delete(string $path): array
    {
        return $this->finish($this->request('DELETE', $path));
    }

    /** @param  array<string, mixed>|null  $body */
    public function request(string $method, string $path, ?array $body = null, bool $withToken = true): CurlHandle
    {
        $curl = curl_init($this->url.$path);
        curl_setopt_array($curl, [
            CURLOPT_CUSTOMREQUEST => $method, CURLOPT_RETURNTRANSFER => true, CURLOPT_HEADER => true, CURLOPT_COOKIEJAR => $this->jar, CURLOPT_COOKIEFILE => $this->jar, CURLOPT_TIMEOUT => 40,
            CURLOPT_HTTPHEADER => [
                'Accept: application/json', 'Content-Type: application/json',
                ...($withToken ? ["X-CSRF-TOKEN: {$this->token}"] : []),
            ],
        ]);
        if ($body !== null) {
            curl_setopt($curl, CURLOPT_POSTFIELDS, (string) json_encode($body));
        }

        return $curl;
    }

    /** @return array{status: int, body: array<string, mixed>, headers: string} */
    public function finish(CurlHandle $curl, ?string $content = null): array
    {
        $content ??= (string) curl_exec($curl);
        $split = (int) curl_getinfo($curl, CURLINFO_HEADER_SIZE);
        $status = (int) curl_getinfo($curl, CURLINFO_RESPONSE_CODE);
        // Closing the handle writes the cookies down.
        curl_setopt($curl, CURLOPT_COOKIELIST, 'FLUSH');

        return ['status' => $status, 'body' => json_decode(substr($content, $split), true) ?: [], 'headers' => substr($content, 0, $split)];
    }
}
