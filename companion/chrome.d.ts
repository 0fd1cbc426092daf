/// <reference types="chrome" />
