import 'fake-indexeddb/auto';
import { cleanup } from '@testing-library/react';
import { afterEach, beforeEach } from 'vitest';
import { keepToken } from '../api/client';
import { device } from '../offline/device';
import { user } from './samples';

/** Who works in the tests; the device holds a key of theirs, as after they signed in. */
const key = btoa('k'.repeat(32));

beforeEach(async () => {
    keepToken('token');
    await device.begin({ id: user.id, name: user.name }, () => Promise.resolve(key));
});

afterEach(async () => {
    cleanup();
    localStorage.clear();
    for (const kind of ['check', 'restock', 'use', 'build', 'build_begun', 'equip', 'answers', 'form']) {
        device.all(kind).forEach((one) => device.remove(one.id));
    }
    await device.settled();
});
